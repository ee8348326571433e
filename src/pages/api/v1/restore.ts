import { restoreReply } from '../../../server/http/backup';
import { wrongMethod } from '../../../server/http/endpoint';

export const PUT = restoreReply;
export const ALL = wrongMethod('PUT');
