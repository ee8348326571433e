import { endpoint, wrongMethod } from '../../../../server/http/endpoint';
import { shelfReply } from '../../../../server/stores/shelf';

export const GET = endpoint('shelf', ({ db }) => shelfReply(db));
export const ALL = wrongMethod('GET');
