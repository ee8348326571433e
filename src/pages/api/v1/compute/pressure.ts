import { endpoint, wrongMethod } from '../../../../server/http/endpoint';
import { pressureOf } from '../../../../server/stores/pressFigures';

export const POST = endpoint('computePressure', (_, { body }) => pressureOf(body));
export const ALL = wrongMethod('POST');
