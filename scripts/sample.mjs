// The sample shop beside a shop of one's own: begun by its server, gone with it. Its database and folder are throwaway.
import { rmSync } from 'node:fs';
import { dirname } from 'node:path';
import { serve } from './serve.mjs';

const folder = dirname(process.env.TIDY_BEACON_DB);
process.on('exit', () => rmSync(folder, { recursive: true, force: true }));
process.on('disconnect', () => process.exit(0));
await serve();
process.send?.('ready');
