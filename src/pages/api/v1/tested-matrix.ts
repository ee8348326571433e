import { judged, wrongMethod } from '../../../server/http/endpoint';

export const GET = judged('testedMatrix');
export const ALL = wrongMethod('GET');
