import { backupReply } from '../../../server/http/backup';
import { wrongMethod } from '../../../server/http/endpoint';

export const GET = backupReply;
export const ALL = wrongMethod('GET');
