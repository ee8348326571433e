import { judged, wrongMethod } from '../../../server/http/endpoint';

export const GET = judged('find');
export const ALL = wrongMethod('GET');
