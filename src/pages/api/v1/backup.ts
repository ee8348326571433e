import type { APIRoute } from 'astro';
import { backupReply } from '../../../server/http/backup';
import { wrongMethod } from '../../../server/http/endpoint';

export const GET: APIRoute = ({ request }) => backupReply(request);
export const ALL = wrongMethod('GET');
