import { judged, wrongMethod } from '../../../server/http/endpoint';

export const GET = judged('measuringWorth');
export const ALL = wrongMethod('GET');
