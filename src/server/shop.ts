/** The shop: the one database connection of the server process, opened at first use. */

import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { appFolder, migrationsFolder } from './app';
import { ownClocks, steadyClock } from './clock';
import { dayOf } from './day';
import { holdShop, makeShop, openShop, realPath, type Shop } from './db';
import { log } from './log';
import { loadDemoShop } from './stores/demoShop';
import { beginHouse, beginShop } from './stores/newShop';
import { newestStep } from './stores/openedRun';

const HELD = Symbol.for('tidy-beacon.shop');
interface OpenShop extends Shop {
  release: () => void;
  /** The time of runs, ms. */
  now: () => number;
}
type Holder = { [HELD]?: OpenShop };

/** The file of the shop; where the path names a link, what the link points to. */
export const shopPath = (): string => realPath(process.env.TIDY_BEACON_DB || join(appFolder(), 'data', 'tidy-beacon.sqlite'));

function fill({ db }: Pick<Shop, 'db'>): void {
  const demo = process.env.TIDY_BEACON_DEMO;
  if (demo) loadDemoShop(db, demo, new Date());
  else beginShop(db, dayOf(Date.now()));
}

const hasHouse = ({ sqlite }: Pick<Shop, 'sqlite'>): boolean =>
  sqlite.prepare("SELECT 1 FROM house WHERE id = 'house'").get() !== undefined;

/** A file without a house is no shop yet: a start was cut off before it was filled. One that holds something gets house rules alone. */
function fillUp(shop: Shop): void {
  const holds = ['orders', 'products', 'presses', 'runs'].some((table) => shop.sqlite.prepare(`SELECT 1 FROM ${table} LIMIT 1`).get());
  shop.sqlite
    .transaction(() => {
      if (holds) return beginHouse(shop.db);
      shop.sqlite.exec('DELETE FROM aids');
      fill(shop);
    })
    .immediate();
}

/** Opens the shop; where there is none, makes it. */
function opened(path: string): Shop {
  if (path !== ':memory:' && !existsSync(path)) {
    makeShop(path, migrationsFolder(), fill);
    log.info({ path, demo: Boolean(process.env.TIDY_BEACON_DEMO) }, 'there was no database there; began a new one');
    return { ...openShop(path, migrationsFolder()), fresh: true };
  }
  const shop = openShop(path, migrationsFolder());
  if (hasHouse(shop)) return shop;
  fillUp(shop);
  log.info({ path }, 'there was a database without a shop in it; filled it');
  return { ...shop, fresh: true };
}

/** The time of runs: no earlier than what is stored of runs that are open, and told when the computer's clock was set. */
function timeOf(shop: Shop): Pick<OpenShop, 'now' | 'release'> {
  const clock = steadyClock(ownClocks, newestStep(shop.db));
  clock.onJump((byMs) => log.warn({ byMs }, 'the clock of this computer was set; runs go on by their own time'));
  const looking = setInterval(clock.now, LOOK_MS).unref();
  return { now: clock.now, release: () => clearInterval(looking) };
}
/** So often the clocks are compared where nobody asks the time, ms. */
const LOOK_MS = 10_000;

/**
 * The shop's database, opened at first use and then kept.
 *
 * `TIDY_BEACON_DB` names the file; `TIDY_BEACON_HOME` the folder the app is installed in; `TIDY_BEACON_DEMO` the folder
 * of a demo shop, loaded once into a new file.
 *
 * @throws {DatabaseError} the file cannot be used; said in words for the operator
 */
export function shop(): OpenShop {
  const holder = globalThis as Holder;
  const open = holder[HELD];
  if (open?.stillThere()) return open;
  if (open) rescue(open);
  const path = shopPath();
  const { release } = holdShop(path);
  try {
    const own = opened(path);
    const time = timeOf(own);
    const letGo = () => {
      time.release();
      release();
    };
    holder[HELD] = { ...own, now: time.now, release: letGo };
    return holder[HELD];
  } catch (error) {
    release();
    throw error;
  }
}

/** The log beside the file was deleted under us: we still have what was in it, and put it into the file before it is lost. */
function rescue(open: OpenShop): void {
  open.sqlite.pragma('wal_checkpoint(TRUNCATE)');
  log.warn({ path: open.path }, 'the file’s log (-wal) was deleted while the app runs; what was in it is saved');
  closeShop();
}

/** Closes the database; the next use opens it again. */
export function closeShop(): void {
  const holder = globalThis as Holder;
  holder[HELD]?.sqlite.close();
  holder[HELD]?.release();
  delete holder[HELD];
}
