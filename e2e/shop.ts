/** The servers of the journeys: the built app on a free port, with a fresh demo shop in a throwaway database. */
import { type ChildProcess, spawn } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base, expect } from '@playwright/test';

/** Names a folder with a demo shop that is copied instead of made; unset: each is made anew. */
export const TEMPLATE = 'TIDY_BEACON_TEMPLATE';

const START = "import('./scripts/serve.mjs').then((s) => s.serve())";

/** Below the ports a system gives to outgoing connections, so that none of those takes it meanwhile. */
const PORTS = { from: 12_000, to: 32_000 };

/** A port nobody listens at. */
export function freePort(): Promise<number> {
  return new Promise((done) => {
    const port = PORTS.from + Math.floor(Math.random() * (PORTS.to - PORTS.from));
    const probe = createServer();
    probe.once('error', () => done(freePort()));
    probe.listen(port, '127.0.0.1', () => probe.close(() => done(port)));
  });
}

/** A running shop that can be killed and started again on the same port and file. */
export class Shop {
  readonly folder = mkdtempSync(join(tmpdir(), 'beacon-journey-'));
  readonly database = join(this.folder, 'shop.sqlite');
  private child: ChildProcess | null = null;
  private constructor(
    readonly port: number,
    /** Where gateways are listened to. */
    readonly devicePort: number,
    private readonly demo: boolean,
  ) {}

  /** @param demo filled with the demo shop; else a new shop of one's own */
  static async open({ demo } = { demo: true }): Promise<Shop> {
    const shop = new Shop(await freePort(), await freePort(), demo);
    const template = process.env[TEMPLATE];
    if (demo && template) cpSync(template, shop.folder, { recursive: true });
    await shop.start();
    return shop;
  }

  /** One that is not started yet: its file is made by the first start. */
  static async aside(): Promise<Shop> {
    return new Shop(await freePort(), await freePort(), true);
  }

  /** Of the running server; 0: none. */
  get pid(): number {
    return this.child?.pid ?? 0;
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** @param more environment of this start alone */
  async start(more: Record<string, string> = {}): Promise<void> {
    const env = {
      ...process.env,
      PORT: String(this.port),
      HOST: '127.0.0.1',
      TIDY_BEACON_DEVICES: String(this.devicePort),
      TIDY_BEACON_DB: this.database,
      TIDY_BEACON_DEMO: this.demo ? join(process.cwd(), 'demo') : '',
      TIDY_BEACON_LOG: 'error',
      ...more,
    };
    const child = spawn(process.execPath, ['-e', START], { env, stdio: ['ignore', 'pipe', 'pipe'] });
    this.child = child;
    await new Promise<void>((done, fail) => {
      let said = '';
      const hear = (chunk: Buffer) => {
        said += chunk.toString();
        if (said.includes('Tidy Beacon is at')) done();
      };
      child.stdout?.on('data', hear);
      child.stderr?.on('data', hear);
      child.once('exit', (code, signal) => {
        fail(new Error(`the server stopped with ${code ?? signal}: ${said}`));
        // one that ends by itself after its start tells why, whatever the journey then trips over
        if (this.child === child && !more.FAULT_AT) console.error(`the server ended by itself with ${code ?? signal}: ${said}`);
      });
    });
  }

  /** Waits until the server has ended by itself, as one with a fault in it does; an error after a minute. */
  async gone(): Promise<void> {
    const { child } = this;
    if (!child) return;
    await new Promise<void>((done, fail) => {
      if (child.exitCode !== null || child.signalCode !== null) return done();
      const late = setTimeout(() => fail(new Error('the server lives on')), 60_000);
      child.once('exit', () => {
        clearTimeout(late);
        done();
      });
    });
    this.child = null;
  }

  /** Ends the server at once, as a power cut would, or as its window does that is closed. */
  async kill(by: 'SIGKILL' | 'SIGINT' = 'SIGKILL'): Promise<void> {
    const { child } = this;
    this.child = null;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const gone = new Promise((done) => child.once('exit', done));
    child.kill(by);
    await gone;
  }

  async close(): Promise<void> {
    await this.kill();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** One server for many journeys: what a journey did is undone before the next, by putting back the shop as it began. */
class SharedShop {
  private constructor(
    private readonly shop: Shop,
    private readonly begun: Blob,
  ) {}

  static async open(): Promise<SharedShop> {
    const shop = await Shop.open();
    const backup = await fetch(`${shop.address}/api/v1/backup`);
    return new SharedShop(shop, await backup.blob());
  }

  get address(): string {
    return this.shop.address;
  }

  async asItBegan(): Promise<void> {
    const reply = await fetch(`${this.shop.address}/api/v1/restore`, { method: 'PUT', body: this.begun });
    if (!reply.ok) throw new Error(`the shop could not be put back: ${await reply.text()}`);
  }

  close(): Promise<void> {
    return this.shop.close();
  }
}

/** A page where nothing that is logged as an error goes unseen. */
const quietly = base.extend<{ quiet: undefined }>({
  quiet: [
    async ({ page }, use, info) => {
      const errors: string[] = [];
      page.on('pageerror', (error) => errors.push(error.message));
      page.on(
        'console',
        (message) => message.type() === 'error' && !/Failed to load resource|ERR_/.test(message.text()) && errors.push(message.text()),
      );
      await use(undefined);
      if (!info.annotations.some((a) => a.type === 'errors expected')) expect(errors).toEqual([]);
    },
    { auto: true },
  ],
});

/** A journey in the demo shop as it begins. */
export const test = quietly.extend<object, { shared: SharedShop }>({
  shared: [
    // biome-ignore lint/correctness/noEmptyPattern: the runner wants a pattern here
    async ({}, use) => {
      const shared = await SharedShop.open();
      await use(shared);
      await shared.close();
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ shared }, use) => {
    await shared.asItBegan();
    await use(shared.address);
  },
});

/** A journey with a server of its own, `shop`: one that it kills, or of which it changes what is no part of the shop. */
export const ownTest = quietly.extend<{ shop: Shop }>({
  // biome-ignore lint/correctness/noEmptyPattern: the runner wants a pattern here
  shop: async ({}, use) => {
    const shop = await Shop.open();
    await use(shop);
    await shop.close();
  },
  baseURL: async ({ shop }, use) => use(shop.address),
});
export { expect };
