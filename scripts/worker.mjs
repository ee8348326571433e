// Builds what the page framework does not: the server's worker thread and its front door, a file each.
import { join } from 'node:path';
import { build } from 'esbuild';

/** Packages stay where they are installed; only the app's own code is put together. */
const bundle = (home, entry, outfile) =>
  build({
    entryPoints: [join(home, 'src', 'server', entry)],
    outfile,
    bundle: true,
    packages: 'external',
    platform: 'node',
    format: 'esm',
    target: 'node20',
    logLevel: 'warning',
  });

export const buildWorker = (home, outfile) => bundle(home, 'work/worker.ts', outfile);

/** Both, beside the built pages. */
export async function buildBeside(home, folder) {
  await Promise.all([buildWorker(home, join(folder, 'worker.mjs')), bundle(home, 'front.ts', join(folder, 'front.mjs'))]);
}
