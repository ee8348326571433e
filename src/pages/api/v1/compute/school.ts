import { computed, wrongMethod } from '../../../../server/http/endpoint';

export const POST = computed('computeSchool');
export const ALL = wrongMethod('POST');
