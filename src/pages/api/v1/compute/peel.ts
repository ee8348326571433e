import { computed, wrongMethod } from '../../../../server/http/endpoint';

export const POST = computed('computePeel');
export const ALL = wrongMethod('POST');
