/** A shop begins whole or not at all, belongs to one server, and outlives what happens to the files beside it. */
import { spawn, spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { existsSync, lstatSync, readdirSync, renameSync, rmSync, statSync, symlinkSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import { ownShop, put, send } from '../../test/api';
import * as healthRoute from '../pages/api/v1/health';
import * as houseRoute from '../pages/api/v1/house';
import * as practiceRoute from '../pages/api/v1/practice/[id]';
import { holdShop, makeShop, openShop } from './db';
import { closeShop, shop } from './shop';
import { readHouse } from './stores/house';
import { beginShop } from './stores/newShop';

const { folder, path } = ownShop(false);
const tables = (file: string) => {
  const sqlite = new Sqlite(file, { readonly: true });
  const n = sqlite.prepare("SELECT count(*) AS n FROM sqlite_master WHERE type = 'table'").get() as { n: number };
  sqlite.close();
  return n.n;
};

describe('a first start', () => {
  it('that is cut off while the shop is filled leaves no file that would be taken for one', () => {
    expect(() =>
      makeShop(path(), 'drizzle', () => {
        throw new Error('cut off');
      }),
    ).toThrow(/could not be filled/);
    expect(existsSync(path())).toBe(false);
    expect(shop().fresh).toBe(true);
    expect(readHouse(shop().db).doc.operators).toEqual([]);
  });
  it('over what an earlier one left half made aside begins anew', () => {
    writeFileSync(`${path()}.begun`, 'half of a database');
    writeFileSync(`${path()}.begun-wal`, 'and of its log');
    expect(shop().fresh).toBe(true);
    expect(readdirSync(folder()).filter((name) => name.includes('.begun'))).toEqual([]);
  });
  it.each([
    ['an empty file', () => writeFileSync(path(), '')],
    ['tables alone', () => openShop(path(), 'drizzle').sqlite.close()],
    [
      'tables without a version',
      () => {
        const { sqlite } = openShop(path(), 'drizzle');
        sqlite.pragma('user_version = 0');
        sqlite.close();
      },
    ],
  ])('finds %s, and fills it', (_, leave) => {
    leave();
    expect(shop().fresh).toBe(true);
    expect(readHouse(shop().db).version).toBe(1);
    expect(tables(path())).toBeGreaterThan(10);
    closeShop();
    expect(shop().fresh).toBe(false);
  });
  it('of a shop that lost its house alone gives it house rules, and leaves the rest', () => {
    const { sqlite } = shop();
    sqlite.exec("DELETE FROM house; DELETE FROM fabrics WHERE id = 'cotton'");
    const before = sqlite.prepare('SELECT count(*) AS n FROM fabrics').get();
    closeShop();
    expect(readHouse(shop().db).version).toBe(1);
    expect(shop().sqlite.prepare('SELECT count(*) AS n FROM fabrics').get()).toEqual(before);
  });
  it('behind a link makes the shop where the link points to, and the link stays one', () => {
    const real = join(folder(), 'elsewhere.sqlite');
    makeShop(real, 'drizzle', ({ db }) => beginShop(db, '2026-01-01'));
    symlinkSync(real, path());
    expect(shop().path).toBe(real);
    expect(lstatSync(path()).isSymbolicLink()).toBe(true);
  });
});

describe('two servers on one file', () => {
  it('the second is told, in this process and in another; when the first is gone, even killed, it may', async () => {
    shop();
    expect(() => holdShop(path())).toThrow(/Another Tidy Beacon already serves/);
    closeShop();
    const hold = `const S = require('better-sqlite3'); const d = new S(process.argv[1] + '-lock'); d.pragma('locking_mode = EXCLUSIVE'); d.exec('BEGIN EXCLUSIVE'); console.log('held'); setInterval(() => {}, 1e6);`;
    const other = spawn(process.execPath, ['-e', hold, path()], { stdio: ['ignore', 'pipe', 'inherit'] });
    await new Promise((done) => other.stdout.once('data', done));
    expect(() => shop()).toThrow(/Another Tidy Beacon already serves .* Use that one, or close it first/);
    expect((await send(healthRoute.GET, '/health')).status).toBe(503);
    const gone = new Promise((done) => other.once('exit', done));
    other.kill('SIGKILL');
    await gone;
    expect((await send(healthRoute.GET, '/health')).status).toBe(200);
  });
});

const round = { operator: 'QA', situation: 'cold base', mistakes: [], score: 50, at: 1 };
const keepRound = (id: string) => put(practiceRoute.PUT, `/practice/${id}`, { id }, round);
const rounds = () => shop().sqlite.prepare('SELECT count(*) AS n FROM practice_rounds').get();

describe('another program at the database', () => {
  it('that is writing does not stop reads, and a write waits for it while others are answered', async () => {
    shop();
    const other = new Sqlite(path());
    other.exec('BEGIN IMMEDIATE');
    const writing = keepRound(randomUUID());
    expect((await send(houseRoute.GET, '/house')).status).toBe(200);
    let written = false;
    void writing.then(() => {
      written = true;
    });
    await send(houseRoute.GET, '/house');
    expect(written).toBe(false);
    other.exec('COMMIT');
    other.close();
    expect((await writing).status).toBe(200);
    expect(rounds()).toEqual({ n: 1 });
  });
  it('that never lets go: nothing was saved, it is said', async () => {
    shop();
    const other = new Sqlite(path());
    other.exec('BEGIN IMMEDIATE');
    expect(await keepRound(randomUUID())).toMatchObject({
      status: 503,
      body: { detail: expect.stringMatching(/Another program holds the database: nothing was saved/) },
    });
    other.exec('ROLLBACK');
    other.close();
    expect(rounds()).toEqual({ n: 0 });
  });
});

describe('the log beside the file', () => {
  it('deleted while the server runs: what was in it is saved, and nothing more is written into nowhere', async () => {
    shop();
    for (let i = 0; i < 5; i++) await keepRound(randomUUID());
    expect(statSync(`${path()}-wal`).size).toBeGreaterThan(0);
    rmSync(`${path()}-wal`);
    rmSync(`${path()}-shm`);
    await keepRound(randomUUID());
    expect(rounds()).toEqual({ n: 6 });
    // as a server that is killed now would leave it
    closeShop();
    expect(rounds()).toEqual({ n: 6 });
  });
  it('and the file itself moved away: said, and back again when it is', async () => {
    shop();
    renameSync(path(), `${path()}.moved`);
    expect(await keepRound(randomUUID())).toMatchObject({ status: 503, body: { detail: expect.stringMatching(/moved or deleted/) } });
    renameSync(`${path()}.moved`, path());
    expect((await keepRound(randomUUID())).status).toBe(200);
  });
});

describe('the whole network', () => {
  const start = (env: Record<string, string>) =>
    spawnSync(process.execPath, ['-e', "import('./scripts/serve.mjs').then((s) => s.serve())"], {
      env: { ...process.env, ...env, PORT: '1', TIDY_BEACON_DEVICES: '0' },
      encoding: 'utf8',
    });
  it('is not given the shop by one word: the owner says twice that he means it', () => {
    const { status, stderr } = start({ HOST: '0.0.0.0' });
    expect(status).toBe(2);
    expect(stderr).toMatch(
      /HOST=0.0.0.0 gives this whole shop, to read and to change, to everybody on the network: there is no lock on it/,
    );
    expect(stderr).toMatch(/TIDY_BEACON_OPEN=yes/);
  });
});
