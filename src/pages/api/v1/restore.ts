import type { APIRoute } from 'astro';
import { restoreReply } from '../../../server/http/backup';
import { wrongMethod } from '../../../server/http/endpoint';

export const PUT: APIRoute = ({ request }) => restoreReply(request);
export const ALL = wrongMethod('PUT');
