/** Builds the server's worker thread once for all tests, into a folder that goes with them; the demo shop they copy is put there too. */
import { mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildWorker } from '../scripts/worker.mjs';

export async function setup(): Promise<() => void> {
  // inside the packages' folder, so that the packages it needs are found
  const folder = mkdtempSync(join(process.cwd(), 'node_modules', '.worker-'));
  const file = join(folder, 'worker.mjs');
  await buildWorker(process.cwd(), file);
  process.env.TIDY_BEACON_WORKER = join(folder, 'worker.cjs');
  // the demo shop that tests copy (test/api.ts)
  process.env.TIDY_BEACON_TEMPLATE = join(folder, 'demo.sqlite');
  return () => rmSync(folder, { recursive: true, force: true });
}
