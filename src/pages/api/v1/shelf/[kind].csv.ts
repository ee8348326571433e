import type { APIRoute } from 'astro';
import { wrongMethod } from '../../../../server/http/endpoint';
import { shelfCsvReply } from '../../../../server/http/exchange';

export const GET: APIRoute = ({ request, params }) => shelfCsvReply(request, params.kind ?? '');
export const ALL = wrongMethod('GET');
