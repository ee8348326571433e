/** The outbox against a server that is slow, away, or says no. The server is a stand-in for `fetch`. */
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { RunEvent } from '../../core/run';
import { heardEvents, peek, post } from './outbox';

let serial = 0;
const event = (): RunEvent => ({ id: `20000000-0000-4000-8000-${String(++serial).padStart(12, '0')}`, at: 1000 + serial, kind: 'next' });
const reply = (status: number, body: unknown) => new Response(JSON.stringify(body), { status });
const NO_WORDS = () => undefined;

/** A server that keeps what it is sent; `meets` may answer before it does. */
function server(meets: (sent: RunEvent, tries: number) => Response | 'away' | null = () => null) {
  const stored: RunEvent[] = [];
  let tries = 0;
  vi.stubGlobal('fetch', async (url: string, init?: RequestInit) => {
    if (url.endsWith('/health')) return reply(200, {});
    const sent = JSON.parse(String(init?.body)) as RunEvent;
    const met = meets(sent, ++tries);
    if (met === 'away') throw new TypeError('network');
    if (met) return met;
    if (!stored.some((one) => one.id === sent.id)) stored.push(sent);
    return reply(200, { events: [...stored], now: 5000 });
  });
  return stored;
}

const settled = async () => vi.advanceTimersByTimeAsync(10_000);

beforeEach(() => void vi.useFakeTimers());
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the outbox', () => {
  it('shows an event at once and sends them in the order they happened, one at a time', async () => {
    const stored = server();
    const events = [event(), event(), event()];
    const saved = vi.fn();
    for (const one of events) post('run-a', one, NO_WORDS, saved);
    expect(peek('run-a')).toMatchObject({ confirmed: [], waiting: events });
    await settled();
    expect(stored).toEqual(events);
    expect(peek('run-a')).toEqual({ confirmed: events, waiting: [] });
    expect(saved).toHaveBeenCalledTimes(1);
  });

  it('sends again until the server is back, the same id each time', async () => {
    const ids: string[] = [];
    const stored = server((sent, tries) => {
      ids.push(sent.id);
      return tries <= 3 ? 'away' : null;
    });
    const [first, second] = [event(), event()];
    post('run-b', first, NO_WORDS, NO_WORDS);
    post('run-b', second, NO_WORDS, NO_WORDS);
    await settled();
    expect(ids).toEqual([first.id, first.id, first.id, first.id, second.id]);
    expect(stored).toEqual([first, second]);
  });

  it('tries again when the database is held for a moment', async () => {
    const stored = server((_, tries) => (tries === 1 ? reply(503, { title: 'Not saved', status: 503, detail: 'held' }) : null));
    const one = event();
    post('run-c', one, NO_WORDS, NO_WORDS);
    await settled();
    expect(stored).toEqual([one]);
  });

  it('a refusal is told in the server’s words, and what was built on it is let go', async () => {
    const stored = server((_, tries) => (tries === 1 ? reply(409, { title: 'Not now', status: 409, detail: 'This run is over.' }) : null));
    const words: string[] = [];
    post('run-d', event(), (said) => words.push(said), NO_WORDS);
    post('run-d', event(), (said) => words.push(said), NO_WORDS);
    await settled();
    expect(words).toEqual(['This run is over.']);
    expect(stored).toEqual([]);
    expect(peek('run-d').waiting).toEqual([]);
  });

  it('an older list that arrives late takes nothing back', async () => {
    server();
    const [first, second] = [event(), event()];
    post('run-e', first, NO_WORDS, NO_WORDS);
    post('run-e', second, NO_WORDS, NO_WORDS);
    await settled();
    heardEvents('run-e', [first]);
    expect(peek('run-e').confirmed).toEqual([first, second]);
  });

  it('an event of another device comes in beside what waits here', async () => {
    server(() => 'away');
    const [theirs, ours] = [event(), event()];
    post('run-f', ours, NO_WORDS, NO_WORDS);
    heardEvents('run-f', [theirs]);
    expect(peek('run-f')).toEqual({ confirmed: [theirs], waiting: [ours] });
    heardEvents('run-f', [theirs, ours]);
    expect(peek('run-f')).toEqual({ confirmed: [theirs, ours], waiting: [] });
  });
});
