import { defineConfig } from 'vitest/config';

/** The tests that guard rules, decisions, window and run: of the core alone, with few random cases. */
export default defineConfig({
  test: {
    include: ['src/core/{window,judgement,run,card,advice,draft}/**/*.test.ts'],
    testTimeout: 120_000,
    hookTimeout: 120_000,
    env: { TIDY_BEACON_SHARE: process.env.TIDY_BEACON_SHARE ?? '0.01' },
  },
});
