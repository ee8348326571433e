import { judged, wrongMethod } from '../../../../../server/http/endpoint';

export const GET = judged('orderHeat');
export const ALL = wrongMethod('GET');
