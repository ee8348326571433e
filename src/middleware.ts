/** Runs before and after every request: the guards of `server/http`. */
import { defineMiddleware } from 'astro:middleware';
import { listenToDevices } from './server/devices/listener';
import { simulateDevices } from './server/devices/simulated';
import { guard, secure } from './server/http/guards';

listenToDevices();
simulateDevices();

export const onRequest = defineMiddleware(async ({ request }, next) => guard(request) ?? secure(await next()));
