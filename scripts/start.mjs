// npm start: serves the user's own shop, data/tidy-beacon.sqlite unless TIDY_BEACON_DB names another file.
import { serve } from './serve.mjs';
import { ensureBuilt, ensureInstalled } from './setup.mjs';

ensureInstalled();
ensureBuilt();
await serve();
