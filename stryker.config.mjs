/** Mutation tests, run by hand (`npm run mutants`): whether a test notices when a line of the judgement or the run is changed. */
export default {
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'vitest.mutants.config.ts' },
  mutate: ['src/core/window/*.ts', 'src/core/judgement/**/*.ts', 'src/core/run/*.ts', '!src/**/*.test.ts', '!src/**/index.ts'],
  // only what stands in a table from the start is judged as such: it costs a whole run of every test, and the tables have tests of their own
  ignoreStatic: true,
  coverageAnalysis: 'perTest',
  concurrency: 2,
  timeoutMS: 60_000,
  reporters: ['clear-text', 'progress-append-only', 'json'],
  clearTextReporter: { allowColor: false, reportTests: false, reportScoreTable: true },
  jsonReporter: { fileName: 'test-results/mutants.json' },
  thresholds: { high: 90, low: 85, break: 85 },
  tempDirName: 'node_modules/.mutants',
  ignorePatterns: ['dist', 'docs', 'e2e', 'bench', 'test-results', '.astro'],
};
