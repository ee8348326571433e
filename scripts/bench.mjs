// npm run bench: every benchmark in bench/, one line a figure.
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { bin, ensureBuilt, ensureChromium, ensureInstalled, HOME, run } from './setup.mjs';

ensureInstalled();
ensureBuilt();
ensureChromium();
for (const file of readdirSync(join(HOME, 'bench')).filter((name) => name.endsWith('.bench.ts'))) run(bin('tsx'), [join('bench', file)]);
