/** A photo as the browser shows it. It never changes, so it may be kept for good. */
import type { APIRoute } from 'astro';
import { shop } from '../shop';
import { readPhoto } from '../stores/photos';
import { answerTo } from './endpoint';

export const photoReply: APIRoute = ({ request, params }) => {
  try {
    return new Response(new Uint8Array(readPhoto(shop().db, params.id ?? '')), {
      headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' },
    });
  } catch (error) {
    return answerTo(error, request);
  }
};
