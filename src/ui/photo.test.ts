/** Photos on their way, against a server that is away or says no, and a browser that keeps them or does not. The server is a stand-in for `fetch`. */
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { storedPhotos } from './localStore';
import { newId } from './newId';
import { photosOnWay, postPhoto, seenPhotoRefusal, takeUpPhotos } from './photo';

const photo = () => ({ id: newId(), jpeg: 'AAAA' });

/** Answers in turn, the last one again and again; what it took. */
function server(...answers: (Response | 'away')[]): string[] {
  const taken: string[] = [];
  vi.stubGlobal('fetch', async (url: string) => {
    const answer = answers.length > 1 ? answers.shift() : answers[0];
    if (answer === 'away' || !answer) throw new TypeError('network');
    if (answer.ok) taken.push(url.split('/').at(-1) ?? '');
    return answer.clone();
  });
  return taken;
}
const took = () => new Response('{}', { status: 200 });
const refused = () =>
  new Response(JSON.stringify({ title: 'Too large', detail: 'The picture is too large.', status: 413 }), { status: 413 });

/** Ten seconds, in which the browser's store comes to rest each time. */
const settled = async () => {
  for (let i = 0; i < 10; i++) {
    for (let turn = 0; turn < 8; turn++) await new Promise((done) => setImmediate(done));
    await vi.advanceTimersByTimeAsync(1000);
  }
};

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
});
afterEach(() => {
  seenPhotoRefusal();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('a photo', () => {
  it('is kept until the server has it, however long that is away, and then let go', async () => {
    const taken = server('away', 'away', took());
    const entry = photo();
    await postPhoto(entry);
    expect(await storedPhotos()).toEqual([entry]);
    expect(photosOnWay()).toEqual({ loose: false, refusal: null });
    await settled();
    expect(taken).toEqual([entry.id]);
    expect(await storedPhotos()).toEqual([]);
  });
  it('that is never taken is told, and not sent for ever', async () => {
    const taken = server(refused(), took());
    await postPhoto(photo());
    await settled();
    expect(photosOnWay().refusal).toMatch(/^A photo was not taken: The picture is too large\./);
    expect(await storedPhotos()).toEqual([]);
    expect(taken).toEqual([]);
    seenPhotoRefusal();
    expect(photosOnWay().refusal).toBeNull();
  });
  it('the browser cannot keep is known to be in this page alone, until the server has it', async () => {
    const { put } = IDBObjectStore.prototype;
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
    const taken = server('away', took());
    const entry = photo();
    await postPhoto(entry);
    IDBObjectStore.prototype.put = put;
    expect(photosOnWay().loose).toBe(true);
    await settled();
    expect(taken).toEqual([entry.id]);
    expect(photosOnWay().loose).toBe(false);
  });
  it('left by an earlier document is sent by this one', async () => {
    server('away');
    const entry = photo();
    await postPhoto(entry);
    const taken = server(took());
    await takeUpPhotos();
    await settled();
    expect(taken).toContain(entry.id);
    expect(await storedPhotos()).toEqual([]);
  });
});
