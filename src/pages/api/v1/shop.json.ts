import type { APIRoute } from 'astro';
import { wrongMethod } from '../../../server/http/endpoint';
import { shopJsonReply } from '../../../server/http/exchange';

export const GET: APIRoute = ({ request }) => shopJsonReply(request);
export const ALL = wrongMethod('GET');
