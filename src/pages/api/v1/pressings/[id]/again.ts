import { judged, wrongMethod } from '../../../../../server/http/endpoint';

export const GET = judged('again');
export const ALL = wrongMethod('GET');
