/** The page’s end of a worker: started when first queried, begun anew when it dies or is stopped, and says so. */
import { type Remote, releaseProxy, wrap } from 'comlink';

/** Nothing asked of a worker takes this long, ms: it is taken as dead. A sweep tells its rows, and each row starts the wait anew. */
const LONGEST_MS = 30_000;

/** A worker was stopped by the one who asked. */
export class Stopped extends Error {
  override name = 'Stopped';
}
/** A worker died at what it was asked. */
export class WorkerDied extends Error {
  override name = 'WorkerDied';
  constructor() {
    super('The calculation broke off and was started anew. Ask again; nothing that was typed is lost.');
  }
}

export interface WorkerClient<T> {
  /** @throws {WorkerDied} it died or did not answer; @throws {Stopped} `stop` was called meanwhile; what the work itself threw is thrown on */
  query<R>(work: (api: Remote<T>, alive: () => void) => Promise<R>): Promise<R>;
  /** Ends whatever is under way. */
  stop(): void;
}

interface Running<T> {
  worker: Worker;
  api: Remote<T>;
  fail: (why: Error) => void;
  failed: Promise<never>;
}

export function workerClient<T>(start: () => Worker, longestMs = LONGEST_MS): WorkerClient<T> {
  let running: Running<T> | null = null;
  const end = (why: Error) => {
    const old = running;
    running = null;
    if (!old) return;
    old.fail(why);
    old.api[releaseProxy]();
    old.worker.terminate();
  };
  const begin = (): Running<T> => {
    const worker = start();
    let fail: (why: Error) => void = () => undefined;
    const failed = new Promise<never>((_, reject) => {
      fail = reject;
    });
    failed.catch(() => undefined);
    worker.addEventListener('error', () => end(new WorkerDied()));
    worker.addEventListener('messageerror', () => end(new WorkerDied()));
    return { worker, api: wrap<T>(worker), fail, failed };
  };
  return {
    async query(work) {
      running ??= begin();
      const { api, failed } = running;
      let clock = setTimeout(() => end(new WorkerDied()), longestMs);
      const alive = () => {
        clearTimeout(clock);
        clock = setTimeout(() => end(new WorkerDied()), longestMs);
      };
      try {
        return await Promise.race([work(api, alive), failed]);
      } finally {
        clearTimeout(clock);
      }
    },
    stop: () => end(new Stopped()),
  };
}
