import { judged, wrongMethod } from '../../../server/http/endpoint';

export const GET = judged('shelfHeat');
export const ALL = wrongMethod('GET');
