import { computed, wrongMethod } from '../../../../server/http/endpoint';

export const POST = computed('computeClosing');
export const ALL = wrongMethod('POST');
