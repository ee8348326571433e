import { judged, wrongMethod } from '../../../../../server/http/endpoint';

export const GET = judged('orderCards');
export const ALL = wrongMethod('GET');
