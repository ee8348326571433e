import { endpoint, wrongMethod } from '../../../../server/http/endpoint';
import { placementOf } from '../../../../server/stores/placement';

export const POST = endpoint('computePlacement', (_, { body }) => placementOf(body));
export const ALL = wrongMethod('POST');
