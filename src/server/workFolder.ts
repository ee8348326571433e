/** Folders of one's own beside the shop, that only its owner can read: for backups on their way in and out. */
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';

const WORK = '.work-';

/** A new folder, and how it is removed. */
export function workFolder(path: string): { folder: string; remove: () => void } {
  const folder = mkdtempSync(join(dirname(path), `${basename(path)}${WORK}`));
  return { folder, remove: () => rmSync(folder, { recursive: true, force: true }) };
}

/** Removes what a server that was ended left behind. */
export function sweepWork(path: string): void {
  for (const name of readdirSync(dirname(path)))
    if (name.startsWith(`${basename(path)}${WORK}`)) rmSync(join(dirname(path), name), { recursive: true, force: true });
}
