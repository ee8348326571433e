/** The shop: the one database connection of the server process, opened at first use. */
import { join } from 'node:path';
import { DatabaseError, openShop, type Shop } from './db';
import { log } from './http/log';
import { loadDemoShop } from './stores/demoShop';
import { beginShop } from './stores/newShop';

const HELD = Symbol.for('tidy-beacon.shop');
type Holder = { [HELD]?: Shop };

/** Where the app is installed, and its migrations in it. */
export const appFolder = (): string => process.env.TIDY_BEACON_HOME ?? process.cwd();
export const migrationsFolder = (): string => join(appFolder(), 'drizzle');

/**
 * The shop's database, opened at first use and then kept.
 *
 * `TIDY_BEACON_DB` names the file; `TIDY_BEACON_HOME` the folder the app is installed in; `TIDY_BEACON_DEMO` the folder
 * of a demo shop, loaded once into a new file.
 *
 * @throws {DatabaseError} the file cannot be used; said in words for the operator
 */
export function shop(): Shop {
  const holder = globalThis as Holder;
  const held = holder[HELD];
  if (held) {
    held.stillThere();
    return held;
  }
  const path = process.env.TIDY_BEACON_DB ?? join(appFolder(), 'data', 'tidy-beacon.sqlite');
  const opened = openShop(path, migrationsFolder());
  if (opened.fresh) {
    const demo = process.env.TIDY_BEACON_DEMO;
    try {
      opened.sqlite.transaction(() =>
        demo ? loadDemoShop(opened.db, demo, new Date()) : beginShop(opened.db, new Date().toISOString().slice(0, 10)),
      )();
    } catch (error) {
      opened.sqlite.close();
      throw new DatabaseError(`The new shop could not be filled: ${error instanceof Error ? error.message : String(error)}`, {
        cause: error,
      });
    }
    log.info({ path, demo: Boolean(demo) }, 'there was no database there; began a new one');
  }
  holder[HELD] = opened;
  return opened;
}

/** Closes the database; the next use opens it again. */
export function closeShop(): void {
  const holder = globalThis as Holder;
  holder[HELD]?.sqlite.close();
  delete holder[HELD];
}
