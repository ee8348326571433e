/** The heat model as views ask it: one worker for what is drawn at once, one for sweeps, which may be stopped. */
import { proxy } from 'comlink';
import type { SweepQuery } from '../core/heatBench';
import { desk } from './desk';
import type { HeatApi } from './heat.worker';

export { Stopped, WorkerDied } from './desk';

const start = () => new Worker(new URL('./heat.worker.ts', import.meta.url), { type: 'module' });

export const heatDesk = desk<HeatApi>(start);
const sweepDesk = desk<HeatApi>(start);

export interface SweepStep {
  done: number;
  of: number;
  rows: { y: number; bonds: number[] }[];
}

/** Sweeps, telling every row. @throws {Stopped} it was stopped */
export const sweep = (query: SweepQuery, onStep: (step: SweepStep) => void): Promise<void> =>
  sweepDesk.ask((api, alive) =>
    api.sweep(
      query,
      proxy((step: SweepStep) => {
        alive();
        onStep(step);
      }),
    ),
  );

/** Ends the sweep under way. */
export const stopSweep = (): void => sweepDesk.stop();
