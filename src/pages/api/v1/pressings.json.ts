import type { APIRoute } from 'astro';
import { wrongMethod } from '../../../server/http/endpoint';
import { pressingsJsonReply } from '../../../server/http/exchange';

export const GET: APIRoute = ({ request, url }) => pressingsJsonReply(request, url);
export const ALL = wrongMethod('GET');
