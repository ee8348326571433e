import { judged, wrongMethod } from '../../../server/http/endpoint';

export const GET = judged('learned');
export const ALL = wrongMethod('GET');
