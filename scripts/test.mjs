// npm test: everything that must hold, in order, ending in one line "N passed, N failed".
// Lint, types, structure and unused code count as one check each; then unit tests, the build, and the journeys.
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { bin, ensureBuilt, ensureChromium, ensureInstalled, HOME, run, runBeside, staticChecks } from './setup.mjs';

ensureInstalled();
const reports = join(HOME, 'test-results');
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });

let passed = 0;
let failed = 0;
const count = (ok) => (ok ? passed++ : failed++);
const heading = (words) => console.log(`\n── ${words}`);

/** Adds a JSON report's counts; a runner that died before it wrote one counts as one failure. */
function addReport(file, read) {
  try {
    const [good, bad] = read(JSON.parse(readFileSync(join(reports, file), 'utf8')));
    passed += good;
    failed += bad;
    if (good + bad === 0) failed++;
  } catch {
    failed++;
  }
}

console.log('Checking, while the unit tests run …');
const units = runBeside(
  'unit tests',
  bin('vitest'),
  ['run', '--reporter=dot', '--reporter=json', `--outputFile.json=${join(reports, 'unit.json')}`],
  { TIDY_BEACON_LOG: 'silent' },
);
for (const [, holds] of await staticChecks()) count(holds);
await units;
addReport('unit.json', (r) => [
  r.numPassedTests,
  r.numFailedTests + (r.numFailedTestSuites > 0 && r.numFailedTests === 0 ? r.numFailedTestSuites : 0),
]);
heading('build');
ensureBuilt();
heading('journeys');
ensureChromium();
run(bin('playwright'), ['test'], { fatal: false, env: { PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'journeys.json') } });
addReport('journeys.json', (r) => [r.stats.expected + r.stats.flaky, r.stats.unexpected]);

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
