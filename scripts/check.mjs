// npm run check: lint, types, structure, unused code, and the unit tests on a few random cases each. For while you work; npm test is the whole.
import { bin, ensureInstalled, run } from './setup.mjs';

const FEW = '0.02';

ensureInstalled();
const wrong = [];
function check(words, command, args, env = {}) {
  console.log(`\n── ${words}`);
  if (run(bin(command), args, { fatal: false, env }).status !== 0) wrong.push(words);
}
check('lint', 'biome', ['check', '--error-on-warnings']);
check('types', 'astro', ['check', '--minimumFailingSeverity', 'hint']);
check('structure', 'depcruise', ['src', '--config', '.dependency-cruiser.mjs']);
check('unused code', 'knip', []);
check('each shape declared once', 'tsx', ['scripts/declaredTwice.ts']);
check('unit tests', 'vitest', ['run', '--reporter=dot'], { TIDY_BEACON_LOG: 'silent', TIDY_BEACON_SHARE: FEW });
console.log(wrong.length === 0 ? '\nAll of it holds.' : `\nDoes not hold: ${wrong.join(', ')}.`);
process.exit(wrong.length === 0 ? 0 : 1);
