import type { APIRoute } from 'astro';
import { openApi } from '../../../contract/openapi';
import { wrongMethod } from '../../../server/http/endpoint';

export const GET: APIRoute = () => Response.json(openApi());
export const ALL = wrongMethod('GET');
