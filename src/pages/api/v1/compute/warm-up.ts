import { computed, wrongMethod } from '../../../../server/http/endpoint';

export const POST = computed('computeWarmUp');
export const ALL = wrongMethod('POST');
