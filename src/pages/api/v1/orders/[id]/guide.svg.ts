import type { APIRoute } from 'astro';
import { wrongMethod } from '../../../../../server/http/endpoint';
import { guideSvgReply } from '../../../../../server/http/guidePdf';

export const GET: APIRoute = ({ request, params, url }) => guideSvgReply(request, params.id ?? '', url);
export const ALL = wrongMethod('GET');
