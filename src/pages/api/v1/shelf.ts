import { endpoint, wrongMethod } from '../../../server/http/endpoint';
import { readShelf } from '../../../server/stores/shelf';

export const GET = endpoint('shelf', ({ db }) => readShelf(db));
export const ALL = wrongMethod('GET');
