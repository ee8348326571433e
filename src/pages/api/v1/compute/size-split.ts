import { computed, wrongMethod } from '../../../../server/http/endpoint';

export const POST = computed('computeSizeSplit');
export const ALL = wrongMethod('POST');
