/** Makes the demo shop once for all journeys: each has a copy of it. */
import { cpSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Shop, TEMPLATE } from './shop';

export default async function makeTemplate(): Promise<() => void> {
  const shop = await Shop.open();
  await shop.kill('SIGINT');
  const folder = join('test-results', 'demo-shop');
  rmSync(folder, { recursive: true, force: true });
  cpSync(shop.folder, folder, { recursive: true });
  await shop.close();
  process.env[TEMPLATE] = folder;
  return () => rmSync(folder, { recursive: true, force: true });
}
