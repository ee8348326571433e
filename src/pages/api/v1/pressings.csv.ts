import type { APIRoute } from 'astro';
import { wrongMethod } from '../../../server/http/endpoint';
import { pressingsReply } from '../../../server/http/exchange';

export const GET: APIRoute = ({ request, url }) => pressingsReply(request, url, 'csv');
export const ALL = wrongMethod('GET');
