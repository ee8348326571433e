import { defineConfig } from 'vitest/config';

export default defineConfig({
  // two at a time even on two cores: one file alone would leave the other core idle; a slow machine is no failure
  test: {
    include: ['src/**/*.test.ts', 'src/**/*.test.tsx'],
    setupFiles: ['test/seed.ts'],
    globalSetup: ['test/worker.ts'],
    // no test fails for slowness alone: a minute of a quiet machine may be ten of a busy one
    testTimeout: 1_800_000,
    hookTimeout: 1_800_000,
    maxWorkers: 2,
    // files of one worker share what is loaded and warm: half the time; what a file changes outside itself it puts back
    isolate: false,
  },
});
