import { computed, wrongMethod } from '../../../../server/http/endpoint';

export const POST = computed('computeFeasibility');
export const ALL = wrongMethod('POST');
