// npm run demo: serves the demo shop from a database of its own, made the first time and kept after that.
// npm run demo -- --fresh starts it over.
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { serve } from './serve.mjs';
import { ensureBuilt, ensureInstalled, HOME } from './setup.mjs';

const known = process.argv.slice(2).every((word) => word === '--fresh');
if (!known) {
  console.error('npm run demo takes one option: npm run demo -- --fresh');
  process.exit(2);
}
ensureInstalled();
ensureBuilt();
process.env.TIDY_BEACON_DB ||= join(HOME, 'data', 'demo.sqlite');
process.env.TIDY_BEACON_DEMO = join(HOME, 'demo');
if (process.argv.includes('--fresh')) {
  for (const end of ['', '-wal', '-shm']) rmSync(process.env.TIDY_BEACON_DB + end, { force: true });
}
console.log((await serve()) ? 'A new demo shop.' : 'The demo shop as you left it.');
