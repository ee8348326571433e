import { expose } from 'comlink';
import { describe, expect, it } from 'vitest';
import { Stopped, WorkerDied, workerClient } from './workerClient';

/** A worker's two ends without a thread: enough to see what its client does as it lives, dies and is ended. */
class FakeWorker extends EventTarget {
  ended = false;
  private readonly channel = new MessageChannel();
  constructor(api: object) {
    super();
    expose(api, this.channel.port2);
    this.channel.port1.addEventListener('message', (event) => this.dispatchEvent(new MessageEvent('message', { data: event.data })));
    this.channel.port1.start();
  }
  postMessage(message: unknown, transfer: Transferable[] = []) {
    this.channel.port1.postMessage(message, transfer);
  }
  terminate() {
    this.ended = true;
    this.channel.port1.close();
    this.channel.port2.close();
  }
}

const api = {
  twice: (n: number) => 2 * n,
  never: () => new Promise<number>(() => undefined),
  bad: (): number => {
    throw new Error('no such thing');
  },
};

function opened(longestMs?: number) {
  const workers: FakeWorker[] = [];
  const own = workerClient<typeof api>(() => {
    const fakeWorker = new FakeWorker(api);
    workers.push(fakeWorker);
    return fakeWorker as unknown as Worker;
  }, longestMs);
  return { workers, own };
}

describe('a worker client', () => {
  it('starts its worker when first asked, and keeps it', async () => {
    const { workers, own } = opened();
    expect(workers).toHaveLength(0);
    expect(await own.query((a) => a.twice(4))).toBe(8);
    expect(await own.query((a) => a.twice(5))).toBe(10);
    expect(workers).toHaveLength(1);
    own.stop();
  });
  it('says so when the worker dies, and the next query has a new one', async () => {
    const { workers, own } = opened();
    const asked = own.query((a) => a.never());
    workers[0]?.dispatchEvent(new Event('error'));
    await expect(asked).rejects.toBeInstanceOf(WorkerDied);
    expect(workers[0]?.ended).toBe(true);
    expect(await own.query((a) => a.twice(3))).toBe(6);
    expect(workers).toHaveLength(2);
    own.stop();
  });
  it('takes one that never answers as dead, but not one that says it is alive', async () => {
    const { own } = opened(40);
    await expect(own.query((a) => a.never())).rejects.toBeInstanceOf(WorkerDied);
    const slow = own.query(async (_, alive) => {
      for (let i = 0; i < 5; i++) {
        await new Promise((go) => setTimeout(go, 20));
        alive();
      }
      return 'done';
    });
    expect(await slow).toBe('done');
    own.stop();
  });
  it('stops at a word, and what the work itself threw is thrown on', async () => {
    const { own } = opened();
    await expect(own.query((a) => a.bad())).rejects.toThrow('no such thing');
    const asked = own.query((a) => a.never());
    own.stop();
    await expect(asked).rejects.toBeInstanceOf(Stopped);
  });
});
