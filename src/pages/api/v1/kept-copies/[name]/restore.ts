import { putCopyBackReply } from '../../../../../server/http/backup';
import { wrongMethod } from '../../../../../server/http/endpoint';

export const PUT = putCopyBackReply;
export const ALL = wrongMethod('PUT');
