import { judged, wrongMethod } from '../../../../../server/http/endpoint';

export const GET = judged('pressTogether');
export const ALL = wrongMethod('GET');
