/** Work that would stop the server: bounded by what is asked, or done beside it and ended when it takes too long. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { describe, expect, it } from 'vitest';
import { ownShop, request, send } from '../../../test/api';
import * as cardRoute from '../../pages/api/v1/compute/card';
import * as closingRoute from '../../pages/api/v1/compute/closing';
import * as peelRoute from '../../pages/api/v1/compute/peel';
import * as pdfRoute from '../../pages/api/v1/orders/[id]/card.pdf';
import { shop } from '../shop';
import { findOrder, putOrder } from '../stores/orders';
import { inWorker } from './pool';

ownShop();
const post = (route: { POST: Parameters<typeof send>[0] }, address: string, body: string) =>
  send(route.POST, address, {}, { method: 'POST', body });

describe('what is asked', () => {
  it('thousands of pieces of five millimetres are refused in words before anything is laid', async () => {
    const reply = await post(
      closingRoute,
      '/compute/closing',
      JSON.stringify({ room: { widthMm: 2000, heightMm: 2000 }, piece: { widthMm: 5, heightMm: 5, round: false }, gapMm: 0 }),
    );
    expect(reply).toMatchObject({
      status: 422,
      body: { errors: [{ field: 'piece', message: expect.stringMatching(/lay fewer at once/) }] },
    });
  });
  it('a body nested ten thousand deep is refused before it is read', async () => {
    const reply = await post(cardRoute, '/compute/card', `${'{"a":'.repeat(10_000)}1${'}'.repeat(10_000)}`);
    expect(reply).toMatchObject({ status: 400, body: { errors: [{ field: 'body', message: 'nested too deep' }] } });
  });
  it('a card of a thousand names is printed: the names stand on pages of their own', async () => {
    const { db } = shop();
    const { doc, version } = findOrder(db, 'order-crew-tees');
    const roster = Array.from({ length: 1000 }, (_, i) => ({ number: String(i), name: `Somebody of the crew ${i}` }));
    const [line] = doc.lines;
    if (!line) throw new Error('the crew tees have a line');
    putOrder(db, { ...doc, lines: [{ ...line, count: 1000, roster }] }, version);
    const reply = await request(pdfRoute.GET, `/orders/${doc.id}/card.pdf?line=${line.id}&print=a`, { id: doc.id });
    expect([reply.status, reply.headers.get('content-type')]).toEqual([200, 'application/pdf']);
    const pages =
      Buffer.from(await reply.arrayBuffer())
        .toString('latin1')
        .match(/\/Type \/Page\b/g)?.length ?? 0;
    expect(pages).toBeGreaterThan(5);
    expect(pages).toBeLessThan(12);
  });
  it('of a stack without a transfer is refused by its field', async () => {
    const piece = {
      stack: [{ role: 'fabric', name: 'x', k: 0.07, rho: 450, c: 1340, thicknessMm: 0.4 }],
      contactKPa: 20,
      roomC: 21,
      baseC: 45,
      lowerC: null,
      droop: null,
    };
    const passage = { surfaceC: 150, timeS: 10, prePressS: 0, finish: null, cooling: null };
    expect(await post(peelRoute, '/compute/peel', JSON.stringify({ piece, passage, where: 'air' }))).toMatchObject({
      status: 422,
      body: { errors: [{ field: 'piece.stack', message: expect.stringMatching(/no transfer in this stack/) }] },
    });
  });
});

describe('a worker', () => {
  it('is begun by a file that imports it: one put together by require takes the whole server with it when it is ended just then', () => {
    const begin = createRequire(import.meta.url).resolve(process.env.TIDY_BEACON_WORKER ?? '');
    expect(begin).toMatch(/\.cjs$/);
    const text = readFileSync(begin, 'utf8');
    expect(text).toContain("module.exports = import('./worker.mjs')");
    expect(text).not.toMatch(/require\(|^import\s/m);
  });
  it('is ended when who asked is gone, and the next task is done', async () => {
    const gone = new AbortController();
    const parts = {
      params: {},
      query: {},
      text: JSON.stringify({ room: { widthMm: 400, heightMm: 400 }, piece: { widthMm: 37, heightMm: 38.5, round: false }, gapMm: 1 }),
      ifMatch: null,
    };
    const task = { do: 'compute', route: 'computeClosing', parts } as const;
    const first = inWorker(task, gone.signal);
    gone.abort();
    await expect(first).rejects.toThrow();
    expect(await inWorker(task)).toMatchObject({ text: expect.stringMatching(/"pieces"/) });
  });
});
