/** Runs before and after every request: the guards of `server/http`. As it is loaded, devices begin to be listened to and what a server that was ended left behind is swept. */
import { defineMiddleware } from 'astro:middleware';
import { listenToDevices } from './server/devices/listener';
import { simulateDevices } from './server/devices/simulated';
import { guard, secure } from './server/http/guards';
import { pageUnits } from './server/http/pageUnits';
import { sampleOf } from './server/sample';
import { beginSweeping } from './server/sweep';
import { warmUp } from './server/work/pool';

listenToDevices();
simulateDevices();
beginSweeping();
warmUp();

export const onRequest = defineMiddleware(async ({ request, url, locals, cookies }, next) => {
  const refused = guard(request);
  if (refused) return refused;
  locals.units = pageUnits(url);
  locals.sampleOf = sampleOf();
  locals.isSample = Boolean(process.env.TIDY_BEACON_DEMO);
  const look = cookies.get('look')?.value;
  locals.look = look === 'light' || look === 'dark' ? look : undefined;
  return secure(await next());
});
