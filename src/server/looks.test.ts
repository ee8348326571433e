/** The small picture of a piece over the wire. */
import { describe, expect, it } from 'vitest';
import { ownShop, request } from '../../test/api';
import * as looksRoute from '../pages/api/v1/orders/[id]/looks.svg';
import { shop } from './shop';
import { findOrder, putOrder } from './stores/orders';

ownShop();

const picture = (address: string, init: RequestInit = {}) =>
  request(looksRoute.GET, `/orders/${address}`, { id: address.split('/')[0] ?? '' }, init);

describe('the small picture of a piece', () => {
  it('is of the line that is asked for, and sent again only once it looks otherwise', async () => {
    const first = await picture('order-nebula/looks.svg');
    expect(first.headers.get('content-type')).toContain('image/svg+xml');
    expect(await first.text()).toContain('<rect');
    const headers = { 'if-none-match': first.headers.get('etag') ?? '' };
    expect((await picture('order-nebula/looks.svg', { headers })).status).toBe(304);
    const { db } = shop();
    const { doc, version } = findOrder(db, 'order-nebula');
    const lines = doc.lines.map((line) => ({ ...line, prints: line.prints.map((print) => ({ ...print, widthMm: print.widthMm / 2 })) }));
    putOrder(db, { ...doc, lines }, version);
    expect((await picture('order-nebula/looks.svg', { headers })).status).toBe(200);
  });

  it('is empty where there is no such order or line: of a log that was brought in, say', async () => {
    for (const address of ['nowhere/looks.svg', 'order-nebula/looks.svg?line=nowhere']) {
      const reply = await picture(address);
      expect([reply.status, (await reply.text()).includes('<path')]).toEqual([200, false]);
    }
  });
});
