import { wrongMethod } from '../../../../server/http/endpoint';
import { railReply } from '../../../../server/http/rail';

export const GET = railReply;
export const ALL = wrongMethod('GET');
