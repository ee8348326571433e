/** Kills the server 50 times at each point of storing an event, and traces that the disk is waited for before an answer. Takes some minutes. */
import { spawn, spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { POINTS, pressThrough, startRun } from '../e2e/faults';
import { Shop } from '../e2e/shop';
import { cueOf, factOf, planOf, type RunEvent, replay } from '../src/core/run';

const TIMES = Number(process.env.TIMES ?? 50);
/** Pieces of a run end after so many events; a new run is begun then. */
const A_RUN = 8;

for (const point of POINTS) {
  const wrong: string[] = [];
  for (let done = 0, part = 0; done < TIMES; part++) {
    const shop = await Shop.open();
    await startRun(shop, `run-${point}-${part}`);
    const times = Math.min(A_RUN, TIMES - done);
    wrong.push(...(await pressThrough(shop, `run-${point}-${part}`, point, times)));
    done += times;
    await shop.close();
  }
  console.log(`kill -9 ${TIMES} times ${point}: ${wrong.length === 0 ? 'every event once and in order' : wrong.join('; ')}`);
}

if (spawnSync('strace', ['-V']).status === 0) {
  const shop = await Shop.open();
  await startRun(shop, 'run-traced');
  const trace = join(shop.folder, 'trace');
  const tracer = spawn('strace', ['-f', '-tt', '-e', 'trace=fsync,fdatasync,write,writev,sendto', '-o', trace, '-p', String(shop.pid)]);
  await new Promise((ready) => setTimeout(ready, 1500));
  const events = 10;
  const { run, card } = await (await fetch(`${shop.address}/api/v1/runs/run-traced`)).json();
  const plan = planOf(run, card);
  const list: RunEvent[] = [];
  for (let i = 0; i < events; i++) {
    const cue = cueOf(plan, replay(plan, run.startedAt, list), Date.now());
    const event = { ...factOf(cue, cue.act ?? cue.early ?? 'next'), id: crypto.randomUUID(), at: Date.now() } as RunEvent;
    const headers = { 'content-type': 'application/json', origin: shop.address };
    await fetch(`${shop.address}/api/v1/runs/run-traced/events/${event.id}`, { method: 'PUT', headers, body: JSON.stringify(event) });
    list.push(event);
  }
  tracer.kill('SIGINT');
  await new Promise((done) => tracer.once('exit', done));
  let synced = false;
  let before = 0;
  let without = 0;
  for (const line of readFileSync(trace, 'utf8').split('\n')) {
    if (/\b(fsync|fdatasync)\(/.test(line)) synced = true;
    else if (/HTTP\/1\.1 200/.test(line)) {
      if (synced) before++;
      else without++;
      synced = false;
    }
  }
  // the first answer read the run and wrote nothing
  console.log(`trace: ${before} of ${events} acknowledgements after the disk was waited for, ${Math.max(0, without - 1)} without`);
  await shop.close();
} else console.log('trace: strace is not installed here');
