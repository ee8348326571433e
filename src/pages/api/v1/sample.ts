import type { APIRoute } from 'astro';
import { outgoing } from '../../../server/http/answer';
import { answerTo, wrongMethod } from '../../../server/http/endpoint';
import { samplePort } from '../../../server/sample';

export const PUT: APIRoute = async ({ request }) => {
  try {
    const { text } = outgoing('putSample', { port: await samplePort() });
    return new Response(text, { headers: { 'content-type': 'application/json', 'cache-control': 'no-store' } });
  } catch (error) {
    return answerTo(error, request);
  }
};
export const ALL = wrongMethod('PUT');
