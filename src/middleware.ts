/** Runs before and after every request: the guards of `server/http`. */
import { defineMiddleware } from 'astro:middleware';
import { guard, secure } from './server/http/guards';

export const onRequest = defineMiddleware(async ({ request }, next) => guard(request) ?? secure(await next()));
