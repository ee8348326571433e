import type { APIRoute } from 'astro';
import { problemReply } from '../../../server/http/problem';
import { Refusal } from '../../../server/refusal';

export const ALL: APIRoute = ({ url }) =>
  problemReply(
    new Refusal('not found', 'Not found', `There is nothing at ${url.pathname}. The addresses are listed in /api/v1/openapi.json.`),
  );
