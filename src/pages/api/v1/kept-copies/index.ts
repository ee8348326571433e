import { keptCopiesReply } from '../../../../server/http/backup';
import { wrongMethod } from '../../../../server/http/endpoint';

export const GET = keptCopiesReply;
export const ALL = wrongMethod('GET');
