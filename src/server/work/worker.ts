/** A worker thread: does one task after the other, with a reading connection of its own. Built into a file of its own (scripts/worker.mjs). */
import { setPriority } from 'node:os';
import { type MessagePort, workerData } from 'node:worker_threads';
import { cachedReader, openForReading } from '../db/reading';
import type { Answer, RequestParts } from '../http/answer';
import { inputOf, outgoing } from '../http/answer';
import { paperBytes } from '../http/papers';
import { proveBackup } from '../proof';
import { Refusal } from '../refusal';
import { bringIn } from '../stores/bringIn';
import { logCsv, logJson } from '../stores/logExport';
import type { Db } from '../stores/perShop';
import { shopJson } from '../stores/shopExport';
import { COMPUTED, type ComputedRoute, JUDGED, type JudgedRoute } from './jobs';
import { sendPieces } from './pieces';
import type { Done, ListJob, Task, ThreadData } from './task';

// on Linux this is the thread's own: the request thread goes first
try {
  setPriority((workerData as ThreadData).nice);
} catch {
  // not allowed here; then they share
}

const shopAt = cachedReader();

function computed<N extends ComputedRoute>(route: N, parts: RequestParts) {
  const job = COMPUTED[route] as (input: ReturnType<typeof inputOf<N>>) => Answer<N>;
  return outgoing(route, job(inputOf(route, parts)));
}

function judged<N extends JudgedRoute>(path: string, route: N, parts: RequestParts) {
  const job = JUDGED[route] as unknown as (db: ReturnType<typeof shopAt>, input: ReturnType<typeof inputOf<N>>) => Answer<N>;
  return outgoing(route, job(shopAt(path), inputOf(route, parts)));
}

const textsOf = (db: Db, job: ListJob): Iterable<string> =>
  job.list === 'shop' ? shopJson(db) : (job.as === 'csv' ? logCsv : logJson)(db, job.query);

/** One moment of the shop, however long the sending takes. */
async function sendList(path: string, job: ListJob, port: MessagePort): Promise<void> {
  const { db, close } = openForReading(path);
  try {
    // the moment is taken with the first look
    db.$client.exec('BEGIN');
    db.$client.prepare('SELECT 1 FROM house').get();
    await sendPieces(textsOf(db, job), port);
  } finally {
    close();
    port.close();
  }
}

async function doTask(task: Task): Promise<Done> {
  switch (task.do) {
    case 'compute':
      return computed(task.route, task.parts);
    case 'judge':
      return judged(task.path, task.route, task.parts);
    case 'paper':
      return paperBytes(shopAt(task.path), task.job);
    case 'import':
      return { text: JSON.stringify(await bringIn(task.path, task.job, (progress) => task.port.postMessage(progress))), version: null };
    case 'list':
      await sendList(task.path, task.job, task.port);
      return { text: '', version: null };
    case 'prove':
      return { text: JSON.stringify(proveBackup(task.path, task.migrations)), version: null };
  }
}

export default async function work(task: Task): Promise<Done> {
  try {
    return await doTask(task);
  } catch (error) {
    if (error instanceof Refusal) {
      const { kind, title, message, errors } = error;
      return { refused: { kind, title, detail: message, errors } };
    }
    const { message, stack } = error instanceof Error ? error : new Error(String(error));
    return { fault: { message, stack: stack ?? '' } };
  }
}
