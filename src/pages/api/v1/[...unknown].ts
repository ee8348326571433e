import type { APIRoute } from 'astro';
import { problemReply, Refusal } from '../../../server/http/problem';

export const ALL: APIRoute = ({ url }) =>
  problemReply(new Refusal(404, 'Not found', `There is nothing at ${url.pathname}. The addresses are listed in /api/v1/openapi.json.`));
