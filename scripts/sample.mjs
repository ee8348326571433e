// The sample shop beside a shop of one's own: begun by its server, gone with it. Its database and folder are throwaway.
import { serve } from './serve.mjs';

process.on('disconnect', () => process.exit(0));
await serve();
process.send?.('ready');
