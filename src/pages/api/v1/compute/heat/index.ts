import { bandOfAsk, see } from '../../../../../core/heat';
import { endpoint, wrongMethod } from '../../../../../server/http/endpoint';

export const POST = endpoint('computeHeat', (_, { body: { doubt, ...ask } }) => ({
  seen: see(ask),
  band: bandOfAsk(ask, doubt ?? { platenK: 1, shiftSd: 0 }),
}));
export const ALL = wrongMethod('POST');
