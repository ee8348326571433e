import { computed, wrongMethod } from '../../../../server/http/endpoint';

export const POST = computed('computePlacement');
export const ALL = wrongMethod('POST');
