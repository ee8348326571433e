import { judged, wrongMethod } from '../../../server/http/endpoint';

export const GET = judged('placementBias');
export const ALL = wrongMethod('GET');
