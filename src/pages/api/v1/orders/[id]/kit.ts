import { judged, wrongMethod } from '../../../../../server/http/endpoint';

export const GET = judged('orderKit');
export const ALL = wrongMethod('GET');
