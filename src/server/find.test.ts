/** Find over the wire: groups of the demo shop, and a shop with more orders than are looked at whole. */
import { describe, expect, it } from 'vitest';
import { ownShop, send } from '../../test/api';
import type { Reply } from '../contract';
import * as findRoute from '../pages/api/v1/find';
import { shop } from './shop';
import { findAnywhere } from './stores/find';
import { findOrder, putOrder } from './stores/orders';

ownShop();

const TODAY = '2026-12-01';
const titles = (words: string) => findAnywhere(shop().db, words, TODAY).groups.flatMap(({ entries }) => entries.map(({ title }) => title));

describe('find', () => {
  it('answers over the wire in groups, each entry with where it leads', async () => {
    const { body } = await send(findRoute.GET, '/find?q=wilke');
    expect(body.groups[0]).toMatchObject({ group: 'people', entries: [{ href: expect.stringContaining('/orders/order-vests?line=') }] });
    const offered = await send(findRoute.GET, '/find');
    expect((offered.body as Reply<'find'>).groups.map(({ group }) => group)).toEqual(['acts']);
  });

  it('finds pieces of the log, the newest first', () => {
    const pieces = findAnywhere(shop().db, 'guide spoiled', TODAY).groups.find(({ group }) => group === 'pieces')?.entries ?? [];
    expect(pieces.length).toBeGreaterThan(0);
    const ended = pieces.map(({ at }) => at ?? 0);
    expect(ended).toEqual([...ended].sort((a, b) => b - a));
  });

  it('finds an old order among many, by its name, its blank and a person', () => {
    const { db } = shop();
    const { doc } = findOrder(db, 'order-vests');
    const [line] = doc.lines;
    if (!line) throw new Error('no line');
    const roster = Array.from({ length: line.count }, (_, i) => ({ number: String(40 + i), name: `Ilse ${'abcdefghij'[i]}` }));
    putOrder(db, { ...doc, id: 'order-old', name: 'Lantern walk', due: '2019-03-01', lines: [{ ...line, roster }] }, null);
    for (let i = 0; i < 90; i++) putOrder(db, { ...doc, id: `order-later-${i}`, name: `Later ${i}`, due: '2026-11-11' }, null);
    expect(titles('lantern')).toContain('Lantern walk');
    expect(titles('lantern vest m')).toContain('Lantern walk');
    expect(titles('ilse 42')).toEqual(['42 Ilse c']);
    putOrder(db, { ...findOrder(db, 'order-old').doc, name: 'Paper boats' }, 1);
    expect(titles('lantern')).toEqual([]);
    expect(titles('paper boats')).toContain('Paper boats');
  });
});
