import { computed, wrongMethod } from '../../../../server/http/endpoint';

export const POST = computed('computePressure');
export const ALL = wrongMethod('POST');
