import { computed, wrongMethod } from '../../../../server/http/endpoint';

export const POST = computed('readRoster');
export const ALL = wrongMethod('POST');
