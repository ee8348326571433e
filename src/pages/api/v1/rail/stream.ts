import type { APIRoute } from 'astro';
import { changeStream } from '../../../../server/http/changes';
import { wrongMethod } from '../../../../server/http/endpoint';

export const GET: APIRoute = ({ request }) => changeStream(request.signal);
export const ALL = wrongMethod('GET');
