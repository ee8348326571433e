// Builds what the page framework does not: the server's worker thread, its front door and the browser's service worker, a file each.
import { randomUUID } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { injectManifest } from '@serwist/build';
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

/** The service worker, with the list of files it keeps: all that pages are drawn with, and the page that is shown while the server is away. */
async function buildServiceWorker(home, client) {
  const file = join(client, 'sw.js');
  await build({
    entryPoints: [join(home, 'src', 'workers', 'offline.ts')],
    outfile: file,
    bundle: true,
    minify: true,
    platform: 'browser',
    format: 'iife',
    target: 'es2022',
    define: { 'process.env.NODE_ENV': '"production"' },
    logLevel: 'warning',
  });
  await injectManifest({
    swSrc: file,
    swDest: file,
    globDirectory: client,
    globPatterns: ['_astro/**', 'beacon.svg', '*.webmanifest'],
    dontCacheBustURLsMatching: /^_astro\//,
    // it is drawn by the server, anew with every build
    additionalPrecacheEntries: [{ url: '/offline', revision: randomUUID() }],
  });
}

/** All of them, beside the built pages. */
export async function buildBeside(home, { server, client }) {
  await Promise.all([
    buildWorker(home, join(server, 'worker.mjs')),
    bundle(home, 'front.ts', join(server, 'front.mjs')),
    buildServiceWorker(home, client),
  ]);
}
