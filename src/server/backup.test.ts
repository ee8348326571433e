/** Backup while work goes on, and restore of nothing but a proven file. */
import { randomUUID } from 'node:crypto';
import { lstatSync, readdirSync, readFileSync, renameSync, rmSync, statSync, symlinkSync, truncateSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import { chanceFrom } from '../../bench/requests';
import { ownShop, request } from '../../test/api';
import { cueOf, factOf, type RunEvent } from '../core/run';
import * as backupRoute from '../pages/api/v1/backup';
import * as keptBackRoute from '../pages/api/v1/kept-copies/[name]/restore';
import * as keptRoute from '../pages/api/v1/kept-copies/index';
import * as restoreRoute from '../pages/api/v1/restore';
import { takeBackup } from './backup';
import { SEAL_LENGTH } from './proof';
import { closeShop, shop } from './shop';
import { bench } from './stores/bench';
import { startRun, takeEvent } from './stores/runs';
import { shopJson } from './stores/shopExport';

const { folder, path } = ownShop();
const whole = () => [...shopJson(shop().db)].join('');
const restore = async (bytes: Uint8Array | string) => {
  const reply = await request(restoreRoute.PUT, '/restore', {}, {
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
      const entry = (sql: string) => (copy.prepare(sql).get() as { n: number }).n;
      expect(copy.pragma('integrity_check', { simple: true })).toBe('ok');
      expect(copy.pragma('foreign_key_check')).toEqual([]);
      // a kept piece and its pressing are one transaction: neither is ever there without the other
      expect(entry("SELECT count(*) AS n FROM run_events WHERE run_id = 'run-busy' AND json_extract(doc, '$.kind') = 'kept'")).toBe(
        entry("SELECT count(*) AS n FROM pressings WHERE run_id = 'run-busy'"),
      );
      expect(entry("SELECT coalesce(max(seq), 0) AS n FROM run_events WHERE run_id = 'run-busy'")).toBe(
        entry("SELECT count(*) AS n FROM run_events WHERE run_id = 'run-busy'"),
      );
      expect(entry('SELECT count(*) AS n FROM pressing_words')).toBe(entry('SELECT count(*) AS n FROM pressings'));
      copy.close();
    }
    expect(shop().sqlite.prepare("SELECT count(*) AS n FROM run_events WHERE run_id = 'run-busy'").get()).not.toEqual({ n: 0 });
  });
  it('asked for several times in one instant is each time whole', async () => {
    const replies = await Promise.all(Array.from({ length: 8 }, () => request(backupRoute.GET, '/backup')));
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
    const file = new Uint8Array(await (await request(backupRoute.GET, '/backup')).arrayBuffer());
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
  it('with any byte of it changed is refused, wherever the byte is', async () => {
    const file = join(folder(), 'flipped.beacon');
    await takeBackup(shop(), file);
    const sound = readFileSync(file);
    const before = whole();
    const chance = chanceFrom(5);
    for (let i = 0; i < 25; i++) {
      const bytes = Buffer.from(sound);
      for (let k = 0; k < 8; k++) {
        const at = Math.floor(chance() * bytes.length);
        bytes[at] = (bytes[at] as number) ^ (1 + Math.floor(chance() * 255));
      }
      expect((await restore(bytes)).status).toBe(422);
    }
    expect(whole()).toBe(before);
  });
  it.each<[string, (sqlite: Sqlite.Database) => void, RegExp]>([
    ['without a house', (db) => db.exec('DELETE FROM house'), /no house rules/],
    ['whose records can be rewritten', (db) => db.exec('DROP TRIGGER pressings_refuse_update'), /no trigger pressings_refuse_update/],
    [
      'with a trigger of somebody else',
      (db) => db.exec('CREATE TRIGGER spy AFTER INSERT ON runs BEGIN DELETE FROM aids; END'),
      /a foreign trigger spy/,
    ],
    ['with a table of somebody else', (db) => db.exec('CREATE TABLE spy (a)'), /a foreign table spy/],
    [
      'with another trigger under the name of one of ours',
      (db) => db.exec('DROP TRIGGER cards_refuse_delete; CREATE TRIGGER cards_refuse_delete BEFORE DELETE ON cards BEGIN SELECT 1; END'),
      /another trigger cards_refuse_delete/,
    ],
    [
      'with an order that is none',
      (db) => db.exec("UPDATE orders SET doc = '{}' WHERE id = 'order-guide-tees'"),
      /damaged \(orders order-guide-tees/,
    ],
    [
      'with a record that names what is not there',
      (db) => db.exec("PRAGMA foreign_keys = OFF; UPDATE runs SET card_hash = 'none' WHERE id = 'run-guide-m'"),
      /name what is not there/,
    ],
    [
      'with a card that was changed',
      (db) =>
        db.exec(
          "DROP TRIGGER cards_refuse_update; UPDATE cards SET doc = json_set(doc, '$.minutesPerPiece', 99); CREATE TRIGGER cards_refuse_update BEFORE UPDATE ON cards BEGIN SELECT RAISE(ABORT, 'a frozen card is never changed'); END",
        ),
      /not the one that was frozen/,
    ],
    [
      'with an order that is listed by another day than it says',
      (db) => db.exec("UPDATE orders SET due = '2020-01-01' WHERE id = 'order-guide-tees'"),
      /damaged \(orders order-guide-tees: its due is not what it is listed by/,
    ],
    [
      'with a pressing that names another card than its run',
      (db) => {
        const { sql } = db.prepare("SELECT sql FROM sqlite_master WHERE name = 'pressings_refuse_update'").get() as { sql: string };
        db.exec(
          `DROP TRIGGER pressings_refuse_update; UPDATE pressings SET doc = json_set(doc, '$.cardHash', '${'b'.repeat(64)}'); ${sql}`,
        );
      },
      /names another card than its run/,
    ],
  ])('of an older version, without a seal, %s is refused', async (_, change, words) => {
    const file = join(folder(), 'unsealed.beacon');
    await takeBackup(shop(), file);
    truncateSync(file, statSync(file).size - SEAL_LENGTH);
    const sqlite = new Sqlite(file);
    change(sqlite);
    sqlite.close();
    const before = whole();
    const reply = await restore(readFileSync(file));
    expect([reply.status, reply.body.detail]).toEqual([422, expect.stringMatching(words)]);
    expect(whole()).toBe(before);
  });
  it('without a seal but sound is put back, and that nothing tells whether it was changed is said', async () => {
    const file = join(folder(), 'unsealed.beacon');
    await takeBackup(shop(), file);
    truncateSync(file, statSync(file).size - SEAL_LENGTH);
    expect(await restore(readFileSync(file))).toMatchObject({ status: 200, body: { sealed: false } });
    await takeBackup(shop(), file);
    expect(await restore(readFileSync(file))).toMatchObject({ status: 200, body: { sealed: true } });
  });
  it('copies that are kept are listed, put back, and no more than five of a kind', async () => {
    const file = join(folder(), 'again.beacon');
    await takeBackup(shop(), file);
    const bytes = readFileSync(file);
    shop().sqlite.exec("DELETE FROM aids WHERE id = 'aid-felt'");
    const without = whole();
    for (let i = 0; i < 7; i++) expect((await restore(bytes)).status).toBe(200);
    const kept = async () =>
      (await (await request(keptRoute.GET, '/kept-copies')).json()).copies as { name: string; before: string; bytes: number }[];
    expect(await kept()).toHaveLength(5);
    const [newest] = await kept();
    expect(newest).toMatchObject({ before: 'a backup was put back', bytes: expect.any(Number) });
    shop().sqlite.exec("DELETE FROM aids WHERE id = 'aid-felt'");
    expect((await restore(bytes)).status).toBe(200);
    const name = (await kept())[0]?.name ?? '';
    const back = await request(keptBackRoute.PUT, `/kept-copies/${name}/restore`, { name }, { method: 'PUT' });
    expect([back.status, whole()]).toEqual([200, without]);
    expect((await request(keptBackRoute.PUT, '/kept-copies/x/restore', { name: '../../etc/passwd' }, { method: 'PUT' })).status).toBe(404);
  });
  it('asked for and not taken leaves nothing behind, and nobody else can read it on its way', async () => {
    const work = () => readdirSync(folder()).filter((name) => name.includes('.work-'));
    const gone = new AbortController();
    const reply = await request(backupRoute.GET, '/backup', {}, { signal: gone.signal });
    const [own = ''] = work();
    expect(statSync(join(folder(), own)).mode & 0o077).toBe(0);
    await reply.body?.cancel();
    gone.abort();
    expect(work()).toEqual([]);
    await restore('no backup at all, but long enough to be looked at as if it were one'.repeat(20));
    expect(work()).toEqual([]);
  });
  it('a shop behind a link stays behind it', async () => {
    const file = join(folder(), 'linked.beacon');
    await takeBackup(shop(), file);
    closeShop();
    const real = join(folder(), 'real.sqlite');
    renameSync(path(), real);
    symlinkSync(real, path());
    expect((await restore(readFileSync(file))).status).toBe(200);
    expect(lstatSync(path()).isSymbolicLink()).toBe(true);
    expect(shop().path).toBe(real);
  });
  it('writes that were acknowledged while it was proven are in the copy that is kept', async () => {
    const file = join(folder(), 'busy.beacon');
    await takeBackup(shop(), file);
    const bytes = readFileSync(file);
    const press = presser('run-late');
    let done = false;
    const restoring = restore(bytes).then((reply) => {
      done = true;
      return reply;
    });
    const steps = () => (shop().sqlite.prepare("SELECT count(*) AS n FROM run_events WHERE run_id = 'run-late'").get() as { n: number }).n;
    let taken = 0;
    while (!done) {
      try {
        press();
        taken = Math.max(taken, steps());
      } catch {
        break;
      }
      await new Promise((turn) => setImmediate(turn));
    }
    const { body } = await restoring;
    const kept = new Sqlite(join(folder(), body.kept), { readonly: true });
    expect(
      (kept.prepare("SELECT count(*) AS n FROM run_events WHERE run_id = 'run-late'").get() as { n: number }).n,
    ).toBeGreaterThanOrEqual(taken);
    expect(taken).toBeGreaterThan(2);
    kept.close();
  });
});
