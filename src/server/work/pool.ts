/**
 * Worker threads of the server. What computes for long, reads much, or takes a large file apart is done in them, within a
 * limit of time and memory, so that a run's steps are answered meanwhile.
 */
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { STARTING_HOUSE } from '../../core/house';
import { appFolder } from '../app';
import { Refusal } from '../refusal';
import type { JudgedRoute } from './jobs';
import { takePieces } from './pieces';
import type { Done, DoneOf, ListJob, Task, ThreadData } from './task';

/** What a kind of task may take. */
interface Limits {
  threads: number;
  /** Seconds after which it is ended. */
  seconds: number;
  megabytes: number;
  /** Tasks that wait for their turn; more are told to come again. */
  waiting: number;
  /** How far its threads stand back: the request thread is at 0; 19 takes what nobody else wants (`os.setPriority`). */
  nice: number;
}

const spare = Math.max(1, availableParallelism() - 1);
/** Apart from each other, so that none of them makes another wait. */
const LIMITS = {
  compute: { threads: Math.min(2, spare), seconds: 20, megabytes: 512, waiting: 64, nice: 2 },
  shop: { threads: 1, seconds: 60, megabytes: 1024, waiting: 256, nice: 2 },
  // whole cards of a large order take long: the bench does not wait for them
  cards: { threads: 1, seconds: 120, megabytes: 1024, waiting: 64, nice: 2 },
  // as long as its reader takes; one that takes nothing for a minute is let go (http/incoming.ts)
  list: { threads: 2, seconds: 7200, megabytes: 512, waiting: 8, nice: 19 },
  file: { threads: 1, seconds: 600, megabytes: 2048, waiting: 4, nice: 19 },
} satisfies Record<string, Limits>;
type PoolName = keyof typeof LIMITS;

const OF_CARDS: readonly JudgedRoute[] = ['orderCards', 'pressTogether', 'whichTransfer', 'testedMatrix', 'measuringWorth', 'again'];
const POOL_OF: { [K in Task['do']]: (task: Extract<Task, { do: K }>) => PoolName } = {
  compute: () => 'compute',
  judge: ({ route }) => (OF_CARDS.includes(route) ? 'cards' : 'shop'),
  paper: () => 'cards',
  list: () => 'list',
  import: () => 'file',
  prove: () => 'file',
};

const HELD = Symbol.for('tidy-beacon.workers');
type Holder = { [HELD]?: Map<PoolName, Piscina<Task, Done>> };

/** What a thread is begun by (scripts/worker.mjs). */
const workerFile = (): string => process.env.TIDY_BEACON_WORKER ?? join(appFolder(), 'dist', 'server', 'worker.cjs');

function poolOf(name: PoolName): Piscina<Task, Done> {
  const holder = globalThis as Holder;
  holder[HELD] ??= new Map();
  const known = holder[HELD].get(name);
  if (known) return known;
  const { threads, megabytes, waiting, nice } = LIMITS[name];
  const pool = new Piscina<Task, Done>({
    filename: workerFile(),
    workerData: { nice } satisfies ThreadData,
    minThreads: name === 'shop' || name === 'cards' ? 1 : 0,
    maxThreads: threads,
    maxQueue: waiting,
    // threads begin in about a third of a second; between a page's questions they stay
    idleTimeout: name === 'file' ? 1000 : 120_000,
    resourceLimits: { maxOldGenerationSizeMb: megabytes, stackSizeMb: 4 },
  });
  holder[HELD].set(name, pool);
  return pool;
}

const tooMuch = (why: string): Refusal =>
  new Refusal(
    'not valid',
    'Too much at once',
    `This is more than can be worked out at once (${why}). Ask for less: fewer pieces, sizes, layers or lines.`,
    [{ field: 'body', message: why }],
  );

const isFull = (error: unknown): boolean => error instanceof Error && /queue is at limit/i.test(error.message);
const isOutOfMemory = (error: unknown): boolean => (error as { code?: string }).code === 'ERR_WORKER_OUT_OF_MEMORY';

/** A task of which the worker made nothing because of a fault of ours. */
class WorkerFault extends Error {
  override name = 'WorkerFault';
}

/**
 * Has a task done by a worker.
 *
 * @param signal ends it when who asked is gone
 * @throws {Refusal} what the task refuses; 422 it takes too long or too much memory; 429 too many are waiting
 * @throws {WorkerFault} it failed
 */
export async function inWorker<T extends Task>(task: T, signal?: AbortSignal): Promise<DoneOf<T>> {
  const name = POOL_OF[task.do](task as never);
  const { seconds } = LIMITS[name];
  const late = AbortSignal.timeout(seconds * 1000);
  let done: Done;
  try {
    // a file goes over as it is, without a copy
    const transferList = task.do === 'import' ? [task.port, task.job.bytes.buffer] : task.do === 'list' ? [task.port] : [];
    done = await poolOf(name).run(task, { signal: signal ? AbortSignal.any([late, signal]) : late, transferList: transferList as never });
  } catch (error) {
    if (late.aborted) throw tooMuch(`over ${seconds} seconds`);
    if (isFull(error)) throw new Refusal('too many', 'Too many at once', 'Too much is being worked out just now. Ask again in a moment.');
    if (isOutOfMemory(error)) throw tooMuch('it wants too much memory');
    throw error;
  }
  if ('refused' in done) {
    const { kind, title, detail, errors } = done.refused;
    throw new Refusal(kind, title, detail, errors);
  }
  if ('fault' in done) {
    const fault = new WorkerFault(done.fault.message);
    fault.stack = done.fault.stack;
    throw fault;
  }
  return done as DoneOf<T>;
}

/** The same for a task that tells how far it is. */
export async function inWorkerTelling(
  task: Omit<Extract<Task, { do: 'import' }>, 'port'>,
  tell: (progress: unknown) => void,
): Promise<DoneOf<Extract<Task, { do: 'import' }>>> {
  const { port1, port2 } = new MessageChannel();
  port1.on('message', tell);
  port1.unref();
  try {
    return await inWorker({ ...task, port: port2 });
  } finally {
    port1.close();
  }
}

/** A long list, made in a thread as it is taken; one moment of the shop. @returns `end` lets the thread go before the list is at its end */
export const listInWorker = (path: string, job: ListJob) => takePieces((port) => inWorker({ do: 'list', path, job, port }));

/** Questions whose example cards go through most of a judgement. */
const WARMS_UP = ['coverWhenAllowed', 'layers', 'obstruction', 'secondPress', 'prePress', 'loading'] as const;

/**
 * Begins the threads that pages wait for, so that the first of them does not wait for it to begin. The one that judges cards
 * judges a few at once: a new thread takes ten times as long for its first card as for its hundredth.
 */
export function warmUp(): void {
  poolOf('shop');
  for (const rule of WARMS_UP) {
    const parts = { params: {}, query: {}, text: JSON.stringify({ rule, house: STARTING_HOUSE }), ifMatch: null };
    // nobody waits for it: where it fails, so will the first question, and say so
    poolOf('cards')
      .run({ do: 'compute', route: 'computeSchool', parts })
      .catch(() => undefined);
  }
}
