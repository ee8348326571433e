import { endpoint, wrongMethod } from '../../../server/http/endpoint';
import { logNames } from '../../../server/stores/pressings';

export const GET = endpoint('logNames', ({ db }) => logNames(db));
export const ALL = wrongMethod('GET');
