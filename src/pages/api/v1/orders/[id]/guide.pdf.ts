import type { APIRoute } from 'astro';
import { wrongMethod } from '../../../../../server/http/endpoint';
import { guidePdfReply } from '../../../../../server/http/guidePdf';

export const GET: APIRoute = ({ request, params, url }) => guidePdfReply(request, params.id ?? '', url);
export const ALL = wrongMethod('GET');
