import { endpoint, wrongMethod } from '../../../../server/http/endpoint';
import { warmUpOf } from '../../../../server/stores/pressFigures';

export const POST = endpoint('computeWarmUp', (_, { body }) => warmUpOf(body));
export const ALL = wrongMethod('POST');
