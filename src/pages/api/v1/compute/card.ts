import { computed, wrongMethod } from '../../../../server/http/endpoint';

export const POST = computed('computeCard');
export const ALL = wrongMethod('POST');
