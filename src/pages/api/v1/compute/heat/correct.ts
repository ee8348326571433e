import { correctAsk } from '../../../../../core/heat';
import { endpoint, wrongMethod } from '../../../../../server/http/endpoint';

export const POST = endpoint('computeHeatCorrect', (_, { body: { allowed, ...ask } }) => correctAsk(ask, allowed));
export const ALL = wrongMethod('POST');
