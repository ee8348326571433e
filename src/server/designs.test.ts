/** A book cover with four motifs: one closing, each with its place, its card and its verdict. */
import { beforeEach, describe, expect, it } from 'vitest';
import { ownShop, put, send } from '../../test/api';
import { RunOver } from '../../test/runOver';
import type { Card } from '../core/card';
import * as orderRoute from '../pages/api/v1/orders/[id]';
import * as cardsRoute from '../pages/api/v1/orders/[id]/cards';
import * as logRoute from '../pages/api/v1/pressings';
import * as runRoute from '../pages/api/v1/runs/[id]';

ownShop();

const RUN = 'run-cover';
const ID = 'order-cover';
const MOTIFS = ['moon', 'owl', 'comet', 'star'].map((artName, i) => ({
  artName,
  xMm: (i % 2) * 80 - 40,
  yMm: Math.floor(i / 2) * 80 - 40,
}));

/** @param change of the nth design */
async function putCover(change: (design: object, i: number) => object = (design) => design, line: object = {}) {
  const { order } = (await send(orderRoute.GET, '/orders/order-spring-tees', { id: 'order-spring-tees' })).body;
  const [like] = order.lines[1].prints;
  const prints = MOTIFS.map(({ artName, ...moved }, i) =>
    change(
      {
        ...like,
        key: 'abcd'[i],
        artName,
        position: 'face',
        widthMm: 50,
        heightMm: 50,
        moved,
        choices: {},
        ...(i > 0 && { withBefore: true }),
      },
      i,
    ),
  );
  const doc = {
    ...order,
    id: ID,
    name: 'Log books',
    lines: [{ id: 'line-cover', blankId: 'blank-log-book', size: 'A5', count: 2, roster: [], perClosing: 1, prints, ...line }],
  };
  return put(orderRoute.PUT, `/orders/${ID}`, { id: ID }, doc);
}
const cards = async (): Promise<{ printKey: string; card: Card }[]> =>
  (await send(cardsRoute.GET, `/orders/${ID}/cards`, { id: ID })).body.cards;
const start = (printKey = 'a', more: object = {}) =>
  put(runRoute.PUT, `/runs/${RUN}`, { id: RUN }, { orderId: ID, lineId: 'line-cover', printKey, operator: 'TO', ...more });

let run: RunOver;
const until = async (verb: string) => (await run.until((cue) => cue.verb === verb)).pieces;

beforeEach(() => {
  run = new RunOver(RUN);
});

describe('four motifs on a cover', () => {
  it('are carded each at its place, all by the settings of the weakest, the piece laid once for all of them', async () => {
    const saved = await putCover();
    expect([saved.status, saved.body.errors]).toEqual([200, undefined]);
    const all = await cards();
    expect(
      new Set(all.map(({ card }) => JSON.stringify([card.set.tempC, card.set.timeS, card.set.pressure.band, card.set.base]))).size,
    ).toBe(1);
    expect(all.map(({ card }) => card.laid?.lay)).toEqual(MOTIFS.map(({ xMm, yMm }) => ({ xMm, yMm, turn: 0 })));
    expect(all.map(({ card }) => card.lamp.state)).not.toContain('hold');
  });

  it('one spoiled: one closing, four verdicts, three good; the next blank is another closing', async () => {
    await putCover();
    const begun = await start('c');
    expect([begun.status, begun.body.detail]).toEqual([200, undefined]);
    expect(begun.body.run).toMatchObject({ pieces: 8, perClosing: 4, printKey: 'c' });
    const pieces = await until('Look it over');
    expect(pieces).toEqual([1, 2, 3, 4]);
    await run.tell({ kind: 'spoiled', piece: 2, reason: 'edge lifted', note: '', lost: 'piece' });
    for (const piece of [1, 3, 4]) await run.tell({ kind: 'kept', piece });
    const { pressings } = (await send(logRoute.GET, '/pressings?limit=20')).body;
    const mine = pressings.filter((p: { runId: string }) => p.runId === RUN);
    expect(mine.map((p: { artName: string; outcome: string; piece: number }) => [p.artName, p.outcome, p.piece]).sort()).toEqual([
      ['comet', 'good', 1],
      ['moon', 'spoiled', 1],
      ['owl', 'good', 1],
      ['star', 'good', 1],
    ]);
    const closings = new Set(
      mine.map((p: { closings: { closedAt: number; stage: string }[] }) => JSON.stringify(p.closings.map((c) => c.closedAt))),
    );
    expect(closings.size).toBe(1);
    expect(await until('Look it over')).toEqual([5, 6, 7, 8]);
    for (const piece of [5, 6, 7, 8]) await run.tell({ kind: 'kept', piece });
    const { state } = await run.opened();
    expect(state.done).toBe(true);
    // the one that was spoiled is left, and is pressed by itself
    const again = await put(
      runRoute.PUT,
      '/runs/run-owl',
      { id: 'run-owl' },
      { orderId: ID, lineId: 'line-cover', printKey: 'a', operator: 'TO' },
    );
    expect(again.body.run).toMatchObject({ pieces: 1, perClosing: 1, also: [] });
  });

  it.each([
    ['that overlap', (design: object, i: number) => (i === 1 ? { ...design, moved: { xMm: 0, yMm: -40 } } : design), 'prints.1.position'],
    ['on two sides', (design: object, i: number) => (i === 2 ? { ...design, position: 'full back' } : design), 'prints.2.withBefore'],
    [
      'on two presses',
      (design: object, i: number) => (i === 3 ? { ...design, pressId: 'press-clamshell' } : design),
      'prints.3.withBefore',
    ],
    [
      'of two transfers',
      (design: object, i: number) => (i === 1 ? { ...design, layers: [{ key: 'a', productId: 'product-wren', over: [] }] } : design),
      'prints.1.withBefore',
    ],
    ['with none before it', (design: object) => ({ ...design, withBefore: true }), 'prints.0.withBefore'],
  ])('designs %s are refused where they stand', async (_, change, field) => {
    const reply = await putCover(change);
    expect(reply.status).toBe(422);
    expect(reply.body.errors.map((error: { field: string }) => error.field)).toContain(`lines.0.${field}`);
  });

  it('one that lies over the edge of the cover is on Hold by itself, and nothing is begun', async () => {
    await putCover((design, i) => (i === 3 ? { ...design, moved: { xMm: 400, yMm: 40 } } : design));
    const states = Object.fromEntries((await cards()).map(({ printKey, card }) => [printKey, card.lamp.state]));
    expect(states.d).toBe('hold');
    const reply = await start();
    expect([reply.status, reply.body.detail]).toEqual([409, expect.stringMatching(/is on Hold/)]);
  });

  it('settings one of them wants otherwise by hand hold that one, in words', async () => {
    await putCover((design, i) => (i === 2 ? { ...design, choices: { base: 'pillow' } } : design));
    const found = (await cards()).flatMap(({ card }) => card.lamp.findings).filter(({ rule }) => rule === 'apart-from-its-closing');
    expect(found.length).toBeGreaterThan(0);
  });
});
