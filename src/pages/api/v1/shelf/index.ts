import { judged, wrongMethod } from '../../../../server/http/endpoint';

export const GET = judged('shelf');
export const ALL = wrongMethod('GET');
