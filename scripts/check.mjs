// npm run check: lint, types, structure, and the unit tests on a few random cases each. For while you work; npm test is the whole.
import { bin, ensureInstalled, runBeside, staticChecks } from './setup.mjs';

const FEW = '0.02';

ensureInstalled();
console.log('Checking, while the unit tests run …');
const units = runBeside('unit tests', bin('vitest'), ['run', '--reporter=dot'], { TIDY_BEACON_LOG: 'silent', TIDY_BEACON_SHARE: FEW });
const results = [...(await staticChecks({ all: false })), ['unit tests', await units]];
const wrong = results.flatMap(([words, holds]) => (holds ? [] : [words]));
console.log(wrong.length === 0 ? '\nAll of it holds.' : `\nDoes not hold: ${wrong.join(', ')}.`);
process.exit(wrong.length === 0 ? 0 : 1);
