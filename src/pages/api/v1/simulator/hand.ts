import { moveHand } from '../../../../server/devices/simulated';
import { endpoint, wrongMethod } from '../../../../server/http/endpoint';

export const PUT = endpoint('putHand', (_, { body }) => moveHand(body));
export const ALL = wrongMethod('PUT');
