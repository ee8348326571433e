import type { APIRoute } from 'astro';
import { wrongMethod } from '../../../server/http/endpoint';
import { importReply } from '../../../server/http/exchange';

export const POST: APIRoute = ({ request, url }) => importReply(request, url);
export const ALL = wrongMethod('POST');
