/**
 * How many random cases a property is tried on. Written in the tests is the full count; a test run takes a share of it, the same
 * first cases each time, and `TIDY_BEACON_SHARE=1` hunts through all of them.
 */
const USUAL_SHARE = 0.25;
const SHARE = Number(process.env.TIDY_BEACON_SHARE ?? USUAL_SHARE);

/** Fewer say nothing. */
const LEAST = 10;

/** Of so many cases the share of this test run. */
export const share = (full: number): number => Math.max(Math.min(LEAST, full), Math.round(SHARE * full));
export const runs = (full: number): { numRuns: number } => ({ numRuns: share(full) });

/** Figures over thousands of draws say nothing of a few: a test of them is left out of a run of few cases. */
export const isWhole = SHARE >= USUAL_SHARE;
