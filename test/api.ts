/** A server without a socket: endpoints called as the server would, on a database file of their own. */
import { copyFileSync, existsSync, mkdtempSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { APIContext, APIRoute } from 'astro';
import { afterEach, beforeEach } from 'vitest';
import { closeShop, shop } from '../src/server/shop';

export const BASE = 'http://127.0.0.1:4321/api/v1';

/** The demo shop, made by the first test that wants it, for all tests of a run: each has a copy of it. */
function demoShop(): string {
  const template = process.env.TIDY_BEACON_TEMPLATE ?? '';
  if (existsSync(template)) return template;
  // two may make it at once: each aside, and either is whole
  const aside = `${template}-${process.pid}-${Math.random()}`;
  process.env.TIDY_BEACON_DB = aside;
  shop().sqlite.pragma('wal_checkpoint(TRUNCATE)');
  closeShop();
  renameSync(aside, template);
  return template;
}

/** Each test has a shop of its own in a folder that goes with it. @param demo filled with the demo shop */
export function ownShop(demo = true): { folder: () => string; path: () => string } {
  let folder = '';
  const path = () => join(folder, 'shop.sqlite');
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'beacon-'));
    if (demo) {
      process.env.TIDY_BEACON_DEMO = join(process.cwd(), 'demo');
      copyFileSync(demoShop(), path());
    } else delete process.env.TIDY_BEACON_DEMO;
    process.env.TIDY_BEACON_DB = path();
  });
  afterEach(() => {
    closeShop();
    rmSync(folder, { recursive: true, force: true });
  });
  return { folder: () => folder, path };
}

/** The raw reply of an endpoint. */
export async function request(
  route: APIRoute,
  address: string,
  params: Record<string, string> = {},
  init: RequestInit = {},
): Promise<Response> {
  const url = new URL(BASE + address);
  const request = new Request(
    url,
    typeof init.body === 'string' ? { ...init, headers: { 'content-type': 'application/json', ...init.headers } } : init,
  );
  return (await route({ request, params, url } as unknown as APIContext)) as Response;
}

/** The reply of a JSON endpoint, read. */
export async function send(route: APIRoute, address: string, params: Record<string, string> = {}, init: RequestInit = {}) {
  const response = await request(route, address, params, init);
  return {
    status: response.status,
    etag: response.headers.get('etag'),
    type: response.headers.get('content-type'),
    body: await response.json(),
  };
}

export const put = (route: APIRoute, address: string, params: Record<string, string>, body: unknown, ifMatch?: string) =>
  send(route, address, params, { method: 'PUT', body: JSON.stringify(body), ...(ifMatch ? { headers: { 'if-match': ifMatch } } : {}) });
