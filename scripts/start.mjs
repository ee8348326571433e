// npm start: serves the user's own shop, data/tidy-beacon.sqlite unless TIDY_BEACON_DB names another file.
import { join } from 'node:path';
import { serve } from './serve.mjs';
import { ensureBuilt, ensureInstalled, HOME } from './setup.mjs';

ensureInstalled();
ensureBuilt();
process.env.TIDY_BEACON_DB ||= join(HOME, 'data', 'tidy-beacon.sqlite');
if (await serve())
  console.log('There was no database there, so a new shop begins. If you expected yours, stop and set TIDY_BEACON_DB to its file.');
