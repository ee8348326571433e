import { judged, wrongMethod } from '../../../server/http/endpoint';

export const POST = judged('whichTransfer');
export const ALL = wrongMethod('POST');
