import { computed, wrongMethod } from '../../../../server/http/endpoint';

export const POST = computed('computeSurvey');
export const ALL = wrongMethod('POST');
