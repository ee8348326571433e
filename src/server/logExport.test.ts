/** The log out: as many records as there are, each with what came later, from one moment. */

import { parse } from 'csv-parse/sync';
import { describe, expect, it } from 'vitest';
import { ownShop, request } from '../../test/api';
import { isWhole } from '../../test/runs';
import * as csvRoute from '../pages/api/v1/pressings.csv';
import * as jsonRoute from '../pages/api/v1/pressings.json';
import { shop } from './shop';
import { addAmendment, addPressing, searchLog } from './stores/pressings';

ownShop();
const rows = (text: string) => parse(text, { columns: true, bom: true }) as Record<string, string>[];

/** Copies of one record of the demo, each a minute after the other. */
function fill(many: number): void {
  const { db, sqlite } = shop();
  const [model] = searchLog(db, { limit: 1 }).pressings;
  if (!model) throw new Error('the demo shop has pressings');
  const { withdrawn: _, amendments: __, ...pressing } = model;
  sqlite.transaction(() => {
    for (let i = 0; i < many; i++)
      addPressing(
        db,
        {
          ...pressing,
          id: `10000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
          endedAt: pressing.endedAt + (i + 1) * 60_000,
          piece: i % 1000,
        },
        false,
      );
  })();
}

describe('the log', () => {
  it.runIf(isWhole)('of more records than a statement takes values goes out whole, newest first', async () => {
    fill(33_000);
    const { db } = shop();
    addAmendment(db, {
      id: '20000000-0000-4000-8000-000000000001',
      pressingId: '10000000-0000-4000-8000-000000000007',
      field: 'standing',
      from: 'counts',
      to: 'withdrawn',
      by: 'QA',
      why: 'x',
      at: 1,
    });
    const out = rows(await (await request(csvRoute.GET, '/pressings.csv')).text());
    expect(out).toHaveLength(33_101);
    expect(out[0]?.pressing).toBe('10000000-0000-4000-8000-000000032999');
    expect(out.filter((row) => row.standing === 'withdrawn').map((row) => row.pressing)).toContain('10000000-0000-4000-8000-000000000007');
    const json = JSON.parse(await (await request(jsonRoute.GET, '/pressings.json?outcome=good')).text());
    expect(json.pressings.length).toBe(out.filter((row) => row.outcome === 'good').length);
    expect(json.pressings.find((p: { id: string }) => p.id === '10000000-0000-4000-8000-000000000007')).toMatchObject({
      withdrawn: true,
      amendments: [{ why: 'x' }],
    });
  });
  it('is one moment, though it is written to while it is sent, and a reader that goes away lets go of it', async () => {
    fill(2000);
    const reply = await request(csvRoute.GET, '/pressings.csv');
    const reader = reply.body?.getReader();
    const first = await reader?.read();
    shop().sqlite.exec(
      "INSERT INTO pressings SELECT NULL, 'later', run_id, order_id, line_id, print_key, outcome, fabric, product, press, ended_at, words, json_set(doc, '$.id', '30000000-0000-4000-8000-000000000001') FROM pressings LIMIT 1",
    );
    let text = new TextDecoder().decode(first?.value);
    for (let entry = await reader?.read(); entry && !entry.done; entry = await reader?.read())
      text += new TextDecoder().decode(entry.value);
    expect(rows(text)).toHaveLength(2101);
    // more readers that go away than there are threads to make lists
    for (let i = 0; i < 4; i++) await (await request(csvRoute.GET, '/pressings.csv')).body?.cancel();
    expect(rows(await (await request(csvRoute.GET, '/pressings.csv')).text())).toHaveLength(2102);
    // nothing holds the file any more: its log can be brought into it whole
    await expect.poll(() => shop().sqlite.pragma('wal_checkpoint(TRUNCATE)')).toMatchObject([{ busy: 0 }]);
  });
});
