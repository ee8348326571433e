/** From `node` to the first answer, on an existing demo database and on a new one. */
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const folder = mkdtempSync(join(tmpdir(), 'beacon-bench-'));
const PORT = '4397';

async function ready(): Promise<number> {
  const env = { ...process.env, PORT, TIDY_BEACON_DB: join(folder, 'shop.sqlite'), TIDY_BEACON_DEMO: join(process.cwd(), 'demo') };
  const start = performance.now();
  const child = spawn(process.execPath, ['-e', "import('./scripts/serve.mjs').then((s) => s.serve())"], { env, stdio: 'ignore' });
  for (;;) {
    try {
      if ((await fetch(`http://127.0.0.1:${PORT}/api/v1/health`)).ok) break;
    } catch {
      await new Promise((done) => setTimeout(done, 5));
    }
  }
  const took = performance.now() - start;
  const gone = new Promise((done) => child.once('exit', done));
  child.kill('SIGKILL');
  await gone;
  return took;
}

console.log(`server ready, new demo database: ${(await ready()).toFixed(0)} ms (wanted: at most 2000)`);
const times: number[] = [];
for (let i = 0; i < 5; i++) times.push(await ready());
console.log(`server ready, existing database, median of 5: ${(times.sort((a, b) => a - b)[2] ?? 0).toFixed(0)} ms (wanted: at most 2000)`);
rmSync(folder, { recursive: true, force: true });
