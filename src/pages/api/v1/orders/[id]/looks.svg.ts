import { wrongMethod } from '../../../../../server/http/endpoint';
import { looksReply } from '../../../../../server/http/looks';

export const GET = looksReply;
export const ALL = wrongMethod('GET');
