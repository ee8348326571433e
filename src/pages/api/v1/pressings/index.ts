import { judged, wrongMethod } from '../../../../server/http/endpoint';

export const GET = judged('pressings');
export const ALL = wrongMethod('GET');
