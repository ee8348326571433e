/** Properties are drawn from one seed, so that a run can be repeated; with `TIDY_BEACON_SEED=random` each run hunts with a new one. */
import fc from 'fast-check';

const asked = process.env.TIDY_BEACON_SEED ?? '20261125';
if (asked !== 'random') fc.configureGlobal({ seed: Number(asked) });
