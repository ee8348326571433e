/** The outbox against a server that is slow, away, or says no, and a browser that keeps what waits. The server is a stand-in for `fetch`. */
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { RunEvent } from '../core/run';
import { serverNow, timed } from './clock';
import { storedEvents, storeEvent } from './localStore';
import { heardEvents, peek, post, takeUp, whenSettled } from './outbox';

let serial = 0;
const event = (): RunEvent => ({ id: `20000000-0000-4000-8000-${String(++serial).padStart(12, '0')}`, at: 1000 + serial, kind: 'next' });
const reply = (status: number, body: unknown) => new Response(JSON.stringify(body), { status });

/** What the server's clock says at this document's start. */
const HOUR_BEHIND = 1_700_000_000_000;

/** A server that keeps what it is sent; `meets` may answer before it does. */
function server(meets: (sent: RunEvent, tries: number) => Response | 'away' | null = () => null) {
  const stored: RunEvent[] = [];
  let tries = 0;
  vi.stubGlobal('fetch', async (url: string, init?: RequestInit) => {
    if (url.endsWith('/health')) return reply(200, { now: HOUR_BEHIND + performance.now() });
    const sent = JSON.parse(String(init?.body)) as RunEvent;
    const met = meets(sent, ++tries);
    if (met === 'away') throw new TypeError('network');
    if (met) return met;
    if (!stored.some((candidate) => candidate.id === sent.id)) stored.push(sent);
    return reply(200, { events: [...stored], now: HOUR_BEHIND + performance.now() });
  });
  return stored;
}

/** Ten seconds, in which the browser's store, which goes by turns of its own, comes to rest each time. */
const settled = async () => {
  for (let i = 0; i < 50; i++) {
    for (let turn = 0; turn < 8; turn++) await new Promise((done) => setImmediate(done));
    await vi.advanceTimersByTimeAsync(200);
  }
};

beforeEach(async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'Date', 'performance'] });
  // the clocks were changed under the document: it has heard what time it is before anything happens
  await timed(async () => ({ now: HOUR_BEHIND + performance.now() }));
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the outbox', () => {
  it('an event whose question is never answered is asked again, and stands once', async () => {
    const stored = server();
    const sound = fetch;
    let asked = 0;
    vi.stubGlobal('fetch', (url: string, init?: RequestInit) => {
      if (url.endsWith('/health') || ++asked > 1) return sound(url, init);
      return new Promise((_, fail) => init?.signal?.addEventListener('abort', () => fail(new DOMException('given up', 'AbortError'))));
    });
    const entry = event();
    post('run-silent', entry);
    await settled();
    expect(stored).toEqual([]);
    for (let i = 0; i < 4; i++) await settled();
    expect(stored).toEqual([entry]);
    expect(peek('run-silent')).toMatchObject({ confirmed: [entry], waiting: [] });
  });
  it('shows an event at once and sends them in the order they happened, one at a time', async () => {
    const stored = server();
    const events = [event(), event(), event()];
    const saved = vi.fn();
    whenSettled(saved);
    for (const entry of events) post('run-a', entry);
    expect(peek('run-a')).toMatchObject({ confirmed: [], waiting: events });
    await settled();
    expect(stored).toEqual(events);
    expect(peek('run-a')).toMatchObject({ confirmed: events, waiting: [] });
    expect(saved).toHaveBeenCalledTimes(1);
  });

  it('sends again until the server is back, the same id each time', async () => {
    const ids: string[] = [];
    const stored = server((sent, tries) => {
      ids.push(sent.id);
      return tries <= 3 ? 'away' : null;
    });
    const [first, second] = [event(), event()];
    post('run-b', first);
    post('run-b', second);
    await settled();
    expect(ids).toEqual([first.id, first.id, first.id, first.id, second.id]);
    expect(stored).toEqual([first, second]);
  });

  it('tries again when the database is held for a moment', async () => {
    const stored = server((_, tries) => (tries === 1 ? reply(503, { title: 'Not saved', status: 503, detail: 'held' }) : null));
    const entry = event();
    post('run-c', entry);
    await settled();
    expect(stored).toEqual([entry]);
  });

  it('a refusal is told in the server’s words, and what was built on it is let go', async () => {
    const stored = server((_, tries) => (tries === 1 ? reply(409, { title: 'Not now', status: 409, detail: 'This run is over.' }) : null));
    post('run-d', event());
    post('run-d', event());
    await settled();
    expect(peek('run-d').refusal).toBe('This run is over. The 1 after it were built on it and were not taken either.');
    expect(stored).toEqual([]);
    expect(peek('run-d').waiting).toEqual([]);
  });

  it('what was dated by a wall clock that was set ahead is moved back before it is sent, its seconds kept', async () => {
    const stored = server();
    post('run-set', { ...event(), at: serverNow() });
    await settled();
    vi.setSystemTime(Date.now() + 3_600_000);
    const closed: RunEvent = { ...event(), at: serverNow(), kind: 'closed' };
    post('run-set', closed);
    const opened: RunEvent = { ...event(), at: serverNow() + 9000, kind: 'opened' };
    post('run-set', opened);
    expect(closed.at - (HOUR_BEHIND + performance.now())).toBeGreaterThan(3_500_000);
    await settled();
    const [, shut, open] = stored;
    expect(Math.abs((shut?.at ?? 0) - (closed.at - 3_600_000))).toBeLessThan(100);
    expect((open?.at ?? 0) - (shut?.at ?? 0)).toBe(9000);
  });

  it('an older list that arrives late takes nothing back', async () => {
    server();
    const [first, second] = [event(), event()];
    post('run-e', first);
    post('run-e', second);
    await settled();
    heardEvents('run-e', [first]);
    expect(peek('run-e').confirmed).toEqual([first, second]);
  });

  it('an event of another device comes in beside what waits here', async () => {
    server(() => 'away');
    const [theirs, ours] = [event(), event()];
    post('run-f', ours);
    heardEvents('run-f', [theirs]);
    expect(peek('run-f')).toMatchObject({ confirmed: [theirs], waiting: [ours] });
    heardEvents('run-f', [theirs, ours]);
    expect(peek('run-f')).toMatchObject({ confirmed: [theirs, ours], waiting: [] });
  });

  it('what waits is kept in the browser until the server has it; a new page takes it up and sends it in order', async () => {
    let away = true;
    const stored = server(() => (away ? 'away' : null));
    const [one, two] = [event(), event()];
    post('run-g', one);
    post('run-g', two);
    await settled();
    expect((await storedEvents()).map(({ event: { id } }) => id)).toEqual([one.id, two.id]);
    away = false;
    await settled();
    expect(stored).toEqual([one, two]);
    await settled();
    expect(await storedEvents()).toEqual([]);
    // left behind by a page that is gone
    const [three, four] = [event(), event()];
    await storeEvent('run-h', three);
    await storeEvent('run-h', four);
    await takeUp();
    await settled();
    expect(stored).toEqual([one, two, three, four]);
  });
});
