import { computed, wrongMethod } from '../../../../../server/http/endpoint';

export const POST = computed('computeHeat');
export const ALL = wrongMethod('POST');
