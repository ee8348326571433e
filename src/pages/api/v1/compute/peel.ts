import { peelOfAsk } from '../../../../core/heat';
import { endpoint, wrongMethod } from '../../../../server/http/endpoint';

export const POST = endpoint('computePeel', (_, { body }) => peelOfAsk(body));
export const ALL = wrongMethod('POST');
