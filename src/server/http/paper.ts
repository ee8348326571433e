/** A paper of the shop over the wire. */
import type { APIRoute } from 'astro';
import { shop } from '../shop';
import { inWorker } from '../work/pool';
import type { PaperJob } from '../work/task';
import { answerTo } from './endpoint';
import { asFileName } from './streamed';

export const paper =
  (file: PaperJob['file']): APIRoute =>
  async ({ request, params, url }) => {
    try {
      const job = { file, orderId: params.id ?? '', query: Object.fromEntries(url.searchParams) };
      const done = await inWorker({ do: 'paper', path: shop().path, job }, request.signal);
      const [stem = '', end = ''] = [done.name.slice(0, done.name.lastIndexOf('.')), done.name.slice(done.name.lastIndexOf('.') + 1)];
      return new Response(new Uint8Array(done.bytes), {
        headers: {
          'content-type': done.type,
          'content-disposition': `inline; filename="${asFileName(stem)}.${end}"`,
          'cache-control': 'no-store',
        },
      });
    } catch (error) {
      return answerTo(error, request);
    }
  };
