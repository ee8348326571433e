import { judged, wrongMethod } from '../../../server/http/endpoint';

export const GET = judged('bench');
export const ALL = wrongMethod('GET');
