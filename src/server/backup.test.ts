/** Backup while work goes on, and restore of nothing but a proven file. */
import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { describe, expect, it, vi } from 'vitest';
import { ask, ownShop } from '../../test/api';
import { cueOf, factOf, type RunEvent } from '../core/run';
import * as backupRoute from '../pages/api/v1/backup';
import * as restoreRoute from '../pages/api/v1/restore';
import { takeBackup } from './backup';
import { SEAL_LENGTH } from './proof';
import { closeShop, shop } from './shop';
import { bench } from './stores/bench';
import { startRun, takeEvent } from './stores/runs';
import { shopJson } from './stores/shopExport';

vi.setConfig({ testTimeout: 120_000 });
const { folder, path } = ownShop();
const whole = () => [...shopJson(shop().db)].join('');
const restore = async (bytes: Uint8Array | string) => {
  const reply = await ask(restoreRoute.PUT, '/restore', {}, {
    method: 'PUT',
    body: new Blob([bytes as BlobPart]),
    duplex: 'half',
  } as RequestInit);
  return { status: reply.status, body: await reply.json() };
};

/** Presses pieces of a line, event by event, until told to stop; returns how many events were taken. */
function presser(runId: string): () => void {
  const { db } = shop();
  let opened = startRun(db, runId, { orderId: 'order-crew-tees', lineId: 'line-crew-m', operator: 'QA' }, Date.now());
  return () => {
    const cue = cueOf(opened.plan, opened.state, Date.now());
    const kind = cue.act ?? cue.early;
    if (!kind) return;
    opened = takeEvent(db, runId, { ...factOf(cue, kind), id: randomUUID(), at: Date.now() } as RunEvent, Date.now());
  };
}

describe('a backup', () => {
  it('taken twenty times while pieces are pressed is each time one consistent moment', async () => {
    const press = presser('run-busy');
    for (let time = 0; time < 20; time++) {
      const to = join(folder(), `backup-${time}.beacon`);
      let done = false;
      const taking = takeBackup(shop(), to).then(() => {
        done = true;
      });
      for (let i = 0; !done || i < 4; i++) {
        press();
        await new Promise((turn) => setImmediate(turn));
      }
      await taking;
      const copy = new Sqlite(to, { readonly: true });
      const one = (sql: string) => (copy.prepare(sql).get() as { n: number }).n;
      expect(copy.pragma('integrity_check', { simple: true })).toBe('ok');
      expect(copy.pragma('foreign_key_check')).toEqual([]);
      // a kept piece and its pressing are one transaction: neither is ever there without the other
      expect(one("SELECT count(*) AS n FROM run_events WHERE run_id = 'run-busy' AND json_extract(doc, '$.kind') = 'kept'")).toBe(
        one("SELECT count(*) AS n FROM pressings WHERE run_id = 'run-busy'"),
      );
      expect(one("SELECT coalesce(max(seq), 0) AS n FROM run_events WHERE run_id = 'run-busy'")).toBe(
        one("SELECT count(*) AS n FROM run_events WHERE run_id = 'run-busy'"),
      );
      expect(one('SELECT count(*) AS n FROM pressing_words')).toBe(one('SELECT count(*) AS n FROM pressings'));
      copy.close();
    }
    expect(shop().sqlite.prepare("SELECT count(*) AS n FROM run_events WHERE run_id = 'run-busy'").get()).not.toEqual({ n: 0 });
  });
  it('asked for several times in one instant is each time whole', async () => {
    const replies = await Promise.all(Array.from({ length: 8 }, () => ask(backupRoute.GET, '/backup')));
    for (const [n, reply] of replies.entries()) {
      const bytes = Buffer.from(await reply.arrayBuffer());
      expect(bytes.length).toBe(Number(reply.headers.get('content-length')));
      const to = join(folder(), `at-once-${n}.beacon`);
      writeFileSync(to, bytes);
      const copy = new Sqlite(to, { readonly: true });
      expect(copy.pragma('integrity_check', { simple: true })).toBe('ok');
      expect((copy.prepare('SELECT count(*) AS n FROM pressings').get() as { n: number }).n).toBe(101);
      copy.close();
    }
  });
  it('put back into a shop that was wiped is the shop as it was, and what was there is kept beside it', async () => {
    const before = whole();
    const file = new Uint8Array(await (await ask(backupRoute.GET, '/backup')).arrayBuffer());
    closeShop();
    for (const end of ['', '-wal', '-shm']) rmSync(path() + end, { force: true });
    delete process.env.TIDY_BEACON_DEMO;
    expect(bench(shop().db).orders).toEqual([]);
    const reply = await restore(file);
    expect(reply).toMatchObject({ status: 200, body: { restored: true } });
    expect(whole()).toBe(before);
    expect(readdirSync(folder()).some((name) => name.includes('.before-restore-'))).toBe(true);
  });
  it.each([
    ['cut short', (file: string) => truncateSync(file, 60_000), /cut short|damaged/],
    ['a letter', (file: string) => writeFileSync(file, 'Dear shop, this is no backup. '.repeat(50)), /not a backup of Tidy Beacon/],
    ['empty', (file: string) => writeFileSync(file, ''), /not a backup of Tidy Beacon/],
    [
      'another program’s database',
      (file: string) => {
        rmSync(file);
        const other = new Sqlite(file);
        other.exec('CREATE TABLE recipes (name TEXT)');
        other.close();
      },
      /database of another program/,
    ],
    [
      'from a newer app',
      (file: string) => {
        truncateSync(file, statSync(file).size - SEAL_LENGTH);
        const later = new Sqlite(file);
        later.prepare("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)").run();
        later.close();
      },
      /newer version/,
    ],
    [
      'damaged inside',
      (file: string) => {
        const bytes = readFileSync(file);
        bytes.fill(0x5a, 8192, 40_960);
        writeFileSync(file, bytes);
      },
      /damaged|cut short/,
    ],
  ])('%s is refused in words, and the shop stays as it is', async (_, spoil, words) => {
    const before = whole();
    const file = join(folder(), 'spoiled.beacon');
    await takeBackup(shop(), file);
    spoil(file);
    const reply = await restore(readFileSync(file));
    expect(reply.status).toBe(422);
    expect(reply.body.detail).toMatch(words);
    expect(whole()).toBe(before);
  });
});
