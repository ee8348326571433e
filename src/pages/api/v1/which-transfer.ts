import { endpoint, wrongMethod } from '../../../server/http/endpoint';
import { rankFor } from '../../../server/stores/which';

export const POST = endpoint('whichTransfer', ({ db }, { body }) => ({ ranked: rankFor(db, body) }));
export const ALL = wrongMethod('POST');
