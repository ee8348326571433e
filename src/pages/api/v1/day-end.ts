import { judged, wrongMethod } from '../../../server/http/endpoint';

export const GET = judged('dayEnd');
export const ALL = wrongMethod('GET');
