/** The heat model as views ask it: one worker for what is drawn at once, one for sweeps, which may be stopped. */
import { proxy } from 'comlink';
import type { SweepQuery } from '../core/heatBench';
import type { HeatApi } from './heat.worker';
import { workerClient } from './workerClient';

export { Stopped, WorkerDied } from './workerClient';

const start = () => new Worker(new URL('./heat.worker.ts', import.meta.url), { type: 'module' });

export const heatWorker = workerClient<HeatApi>(start);
const sweepWorker = workerClient<HeatApi>(start);

export interface SweepStep {
  done: number;
  of: number;
  rows: { y: number; bonds: number[] }[];
}

/** Sweeps, telling every row. @throws {Stopped} it was stopped */
export const sweep = (query: SweepQuery, onStep: (step: SweepStep) => void): Promise<void> =>
  sweepWorker.query((api, alive) =>
    api.sweep(
      query,
      proxy((step: SweepStep) => {
        alive();
        onStep(step);
      }),
    ),
  );

/** Ends the sweep under way. */
export const stopSweep = (): void => sweepWorker.stop();
