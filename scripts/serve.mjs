// Serves the built app on this machine and prints its address. Set up by the environment:
// PORT (4321), HOST (127.0.0.1; any other wants TIDY_BEACON_OPEN=yes), TIDY_BEACON_DB (data/tidy-beacon.sqlite),
// TIDY_BEACON_HOSTS (further names it answers to), TIDY_BEACON_DEVICES (PORT + 1; 0: none), where measuring devices are listened to.
import { join } from 'node:path';
import { HOME } from './setup.mjs';

const isLoopback = (host) => host === 'localhost' || host === '::1' || host.startsWith('127.');

/** There is no lock on a shop: who reaches it can read and change all of it. The owner says twice that he means that. */
function minded(host) {
  if (isLoopback(host)) return;
  const what = `HOST=${host} gives this whole shop, to read and to change, to everybody on the network: there is no lock on it.`;
  if (process.env.TIDY_BEACON_OPEN !== 'yes') {
    console.error(`${what}\nIf you mean that, start it with TIDY_BEACON_OPEN=yes as well. Without HOST it serves this computer alone.`);
    process.exit(2);
  }
  console.warn(`Mind: ${what}`);
}

/** Starts the server in this process; resolves once it has answered, exits with words when the database cannot be used. @returns whether this start made the shop */
export async function serve() {
  process.env.HOST ??= '127.0.0.1';
  process.env.PORT ??= '4321';
  process.env.TIDY_BEACON_DEVICES ??= String(Number(process.env.PORT) + 1);
  process.env.TIDY_BEACON_HOME ??= HOME;
  process.env.TIDY_BEACON_DB ||= join(HOME, 'data', 'tidy-beacon.sqlite');
  process.env.TIDY_BEACON_LOG ??= 'warn';
  process.env.ASTRO_NODE_LOGGING = 'disabled';
  process.env.ASTRO_NODE_AUTOSTART = 'disabled';
  minded(process.env.HOST);
  process.on('uncaughtException', (error) => {
    if (error.code !== 'EADDRINUSE') throw error;
    console.error(`Port ${process.env.PORT} is taken, perhaps by another Tidy Beacon. Close that one, or start with PORT=4322.`);
    process.exit(1);
  });
  const built = join(HOME, 'dist', 'server');
  const { handler } = await import(join(built, 'entry.mjs'));
  const { serveFront } = await import(join(built, 'front.mjs'));
  serveFront(handler, { port: Number(process.env.PORT), host: process.env.HOST, files: join(HOME, 'dist', 'client') });
  const host = process.env.HOST === '0.0.0.0' || process.env.HOST === '::' ? '127.0.0.1' : process.env.HOST;
  const address = `http://${host.includes(':') ? `[${host}]` : host}:${process.env.PORT}`;
  const health = await firstAnswer(`${address}/api/v1/health`);
  if (!health.ok) {
    console.error((await health.json()).detail);
    process.exit(1);
  }
  const { database, fresh } = await health.json();
  console.log(`Tidy Beacon is at ${address}\nIts database is ${database}\nStop it with Ctrl+C.`);
  return fresh;
}

async function firstAnswer(url) {
  for (let tries = 0; ; tries++) {
    try {
      return await fetch(url);
    } catch (error) {
      if (tries > 200) throw error;
      await new Promise((done) => setTimeout(done, 25));
    }
  }
}
