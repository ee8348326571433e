import { backupCopiesReply } from '../../../../server/http/backup';
import { wrongMethod } from '../../../../server/http/endpoint';

export const GET = backupCopiesReply;
export const ALL = wrongMethod('GET');
