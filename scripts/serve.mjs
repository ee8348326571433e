// Serves the built app on this machine and prints its address. Set up by the environment:
// PORT (4321), HOST (127.0.0.1), TIDY_BEACON_DB (data/tidy-beacon.sqlite), TIDY_BEACON_HOSTS (further names it answers to),
// TIDY_BEACON_DEVICES (PORT + 1; 0: none), where measuring devices are listened to.
import { join } from 'node:path';
import { HOME } from './setup.mjs';

/** Starts the server in this process; resolves once it has answered, exits with words when the database cannot be used. */
export async function serve() {
  process.env.HOST ??= '127.0.0.1';
  process.env.PORT ??= '4321';
  process.env.TIDY_BEACON_DEVICES ??= String(Number(process.env.PORT) + 1);
  process.env.TIDY_BEACON_HOME ??= HOME;
  process.env.TIDY_BEACON_DB ??= join(HOME, 'data', 'tidy-beacon.sqlite');
  process.env.TIDY_BEACON_LOG ??= 'warn';
  process.env.ASTRO_NODE_LOGGING = 'disabled';
  process.on('uncaughtException', (error) => {
    if (error.code !== 'EADDRINUSE') throw error;
    console.error(`Port ${process.env.PORT} is taken, perhaps by another Tidy Beacon. Close that one, or start with PORT=4322.`);
    process.exit(1);
  });
  await import(join(HOME, 'dist', 'server', 'entry.mjs'));
  const host = process.env.HOST === '0.0.0.0' ? '127.0.0.1' : process.env.HOST;
  const address = `http://${host}:${process.env.PORT}`;
  const health = await firstAnswer(`${address}/api/v1/health`);
  if (!health.ok) {
    console.error((await health.json()).detail);
    process.exit(1);
  }
  const { database } = await health.json();
  console.log(`Tidy Beacon is at ${address}\nIts database is ${database}\nStop it with Ctrl+C.`);
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
