import { computed, wrongMethod } from '../../../../server/http/endpoint';

export const POST = computed('readKit');
export const ALL = wrongMethod('POST');
