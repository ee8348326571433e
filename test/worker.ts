/** Builds the server's worker thread once for all tests, into a folder that goes with them. */
import { mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildWorker } from '../scripts/worker.mjs';

export async function setup(): Promise<() => void> {
  // inside the packages' folder, so that the packages it needs are found
  const folder = mkdtempSync(join(process.cwd(), 'node_modules', '.worker-'));
  const file = join(folder, 'worker.mjs');
  await buildWorker(process.cwd(), file);
  process.env.TIDY_BEACON_WORKER = join(folder, 'worker.cjs');
  return () => rmSync(folder, { recursive: true, force: true });
}
