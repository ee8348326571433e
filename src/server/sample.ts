/** The sample shop to look round in: a second server of the same app, on a port and in a database of its own, so that nothing done in it can touch the shop. */
import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { appFolder } from './app';
import { log } from './log';
import { Refusal } from './refusal';

/** A first sample shop plays its past runs: on a slow computer that takes a while, ms. */
const PATIENCE_MS = 120_000;

const HELD = Symbol.for('tidy-beacon.sample');
type Holder = { [HELD]?: Promise<number> };

function freePort(host: string): Promise<number> {
  return new Promise((done, failed) => {
    const probe = createServer();
    probe.once('error', failed);
    probe.listen(0, host, () => {
      const address = probe.address();
      probe.close(() => done(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

/** Resolves once the child says that it answers. */
function ready(child: ChildProcess): Promise<void> {
  return new Promise((done, failed) => {
    const late = setTimeout(() => failed(new Error('the sample shop did not answer in time')), PATIENCE_MS).unref();
    child.once('message', () => {
      clearTimeout(late);
      done();
    });
    child.once('error', failed);
    child.once('exit', (code) => failed(new Error(`the sample shop ended with code ${code}`)));
  });
}

async function begin(): Promise<number> {
  const host = process.env.HOST ?? '127.0.0.1';
  const folder = mkdtempSync(join(tmpdir(), 'tidy-beacon-sample-'));
  const port = await freePort(host);
  const child = spawn(process.execPath, [join(appFolder(), 'scripts', 'sample.mjs')], {
    cwd: appFolder(),
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    env: {
      ...process.env,
      PORT: String(port),
      TIDY_BEACON_DB: join(folder, 'sample.sqlite'),
      TIDY_BEACON_DEMO: join(appFolder(), 'demo'),
      TIDY_BEACON_DEVICES: String(await freePort(host)),
      TIDY_BEACON_SAMPLE_OF: process.env.PORT ?? '4321',
    },
  });
  child.once('exit', () => {
    delete (globalThis as Holder)[HELD];
    rmSync(folder, { recursive: true, force: true });
  });
  try {
    await ready(child);
  } catch (error) {
    child.kill();
    throw error;
  }
  // it does not keep this server alive; it ends with it
  child.unref();
  child.channel?.unref();
  log.info({ port }, 'a sample shop was opened');
  return port;
}

/**
 * The port of the sample shop, which is begun where there is none.
 *
 * @throws {Refusal} it cannot be begun, or this is one itself
 */
export async function samplePort(): Promise<number> {
  if (isSample()) throw new Refusal('conflict', 'A sample already', 'This is the sample shop itself.');
  const holder = globalThis as Holder;
  holder[HELD] ??= begin();
  try {
    return await holder[HELD];
  } catch (error) {
    delete holder[HELD];
    log.error({ err: error }, 'the sample shop could not be opened');
    throw new Refusal(
      'not now',
      'No sample shop',
      'The sample shop could not be opened on this computer. `npm run demo` in the folder of the app opens it by hand; what went wrong stands in the server’s log.',
    );
  }
}

/** Whether this server serves a sample shop; the port of the shop it was opened from. */
export const sampleOf = (): string | null => process.env.TIDY_BEACON_SAMPLE_OF || null;
const isSample = (): boolean => sampleOf() !== null;
