import type { APIRoute } from 'astro';
import { cardPdfReply } from '../../../../../server/http/cardPdf';
import { wrongMethod } from '../../../../../server/http/endpoint';

export const GET: APIRoute = ({ request, params, url }) => cardPdfReply(request, params.id ?? '', url);
export const ALL = wrongMethod('GET');
