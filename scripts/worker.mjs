// Builds what the page framework does not: the server's worker thread and its front door, a file each.
import { writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
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

/**
 * The worker, and beside it the file a pool begins it by (the same name, `.cjs`). The pool requires that file; a module loaded by
 * require is put together at one go, and a thread that is ended in just that moment takes the whole process with it
 * (`v8::Module::IsGraphAsync`). Loaded by import it is merely not there.
 */
export async function buildWorker(home, outfile) {
  await bundle(home, 'work/worker.ts', outfile);
  const begin = `// Begins the worker; see scripts/worker.mjs.\nmodule.exports = import('./${basename(outfile)}').then((worker) => worker.default);\n`;
  writeFileSync(outfile.replace(/\.mjs$/, '.cjs'), begin);
}

/** Both, beside the built pages. */
export async function buildBeside(home, folder) {
  await Promise.all([buildWorker(home, join(folder, 'worker.mjs')), bundle(home, 'front.ts', join(folder, 'front.mjs'))]);
}
