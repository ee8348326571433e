import { judged, wrongMethod } from '../../../server/http/endpoint';

export const GET = judged('parcels');
export const ALL = wrongMethod('GET');
