import type { APIRoute } from 'astro';
import { shopJsonSchema } from '../../../core/formats';
import { wrongMethod } from '../../../server/http/endpoint';

export const GET: APIRoute = () => Response.json(shopJsonSchema());
export const ALL = wrongMethod('GET');
