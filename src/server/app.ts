/** Where the app is installed, and what belongs to it there. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

export const appFolder = (): string => process.env.TIDY_BEACON_HOME ?? process.cwd();
export const migrationsFolder = (): string => join(appFolder(), 'drizzle');

let version: string | null = null;
/** The app's own version, from its package. */
export function appVersion(): string {
  version ??= (JSON.parse(readFileSync(join(appFolder(), 'package.json'), 'utf8')) as { version: string }).version;
  return version;
}
