// npm run shots: refreshes docs/screenshots from the demo shop.
import { bin, ensureBuilt, ensureChromium, ensureInstalled, run } from './setup.mjs';

ensureInstalled();
ensureBuilt();
ensureChromium();
run(bin('tsx'), ['e2e/shots.ts']);
