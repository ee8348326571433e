import { computed, wrongMethod } from '../../../../../server/http/endpoint';

export const POST = computed('computeHeatCorrect');
export const ALL = wrongMethod('POST');
