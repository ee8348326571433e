import type { APIRoute } from 'astro';
import { csvReply } from '../../../server/http/csv';
import { wrongMethod } from '../../../server/http/endpoint';

export const GET: APIRoute = ({ request, url }) => csvReply(request, url);
export const ALL = wrongMethod('GET');
