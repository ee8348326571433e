import { endpoint, wrongMethod } from '../../../../../server/http/endpoint';
import { sweepUnhurried } from '../../../../../server/stores/heatSweep';

export const POST = endpoint('computeHeatSweep', (_, { body }) => sweepUnhurried(body));
export const ALL = wrongMethod('POST');
