import { computed, wrongMethod } from '../../../../../server/http/endpoint';

export const POST = computed('computeHeatSweep');
export const ALL = wrongMethod('POST');
