/** The heat model: how fast and how near to its own converged answer, in Node and in Chromium; sweeps; and how long a page is ever held up. */
import { createRequire } from 'node:module';
import { chromium, type Page } from '@playwright/test';
import { Shop } from '../e2e/shop';
import type { Scene } from '../src/core/heat';
import type { HeatQuery, SweepQuery } from '../src/core/heatBench';
import { layer, passage, pieceOf, pressed, readAt } from '../test/columns';

type Shipped = typeof import('../src/core/heat') & typeof import('../src/core/heatBench');

/** The model as it ships: the sources bundled, without what the runner adds to every function. */
async function bundle(): Promise<string> {
  const require = createRequire(createRequire(import.meta.url).resolve('tsx'));
  const { build } = require('esbuild') as {
    build: (options: object) => Promise<{ outputFiles: { text: string }[] }>;
  };
  const built = await build({
    stdin: { contents: "export * from './src/core/heat'; export * from './src/core/heatBench';", resolveDir: process.cwd() },
    bundle: true,
    write: false,
    minify: true,
    format: 'iife',
    globalName: 'heat',
    target: 'es2022',
  });
  return built.outputFiles[0]?.text ?? '';
}

const SCRIPT = await bundle();
const { solve, sweepRows } = new Function(`${SCRIPT}; return heat;`)() as Shipped;

const median = (times: number[]) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;

/** Cover, carrier, film, two thicknesses of cloth, felt, pad, plate: 20 s under 150 °C. */
const eight = (water: number): Scene => {
  const layers = [
    layer('cover', { k: 0.25, rho: 2100, c: 1000, thicknessMm: 0.13 }),
    layer('carrier', { k: 0.2, rho: 1380, c: 1200, thicknessMm: 0.1 }),
    layer('film', { k: 0.2, rho: 1200, c: 1600, thicknessMm: 0.09 }),
    layer('cloth', { k: 0.07, rho: 450, c: 1340, thicknessMm: 0.4, waterKgM2: water }),
    layer('back', { k: 0.07, rho: 450, c: 1340, thicknessMm: 0.4, waterKgM2: water }),
    layer('felt', { k: 0.05, rho: 220, c: 1300, thicknessMm: 4 }),
    layer('pad', { k: 0.1, rho: 450, c: 1300, thicknessMm: 8 }),
    layer('plate', { k: 15, rho: 2700, c: 900, thicknessMm: 6 }),
  ];
  return pressed(layers, {}, [{ key: 'glue', layer: 'film', at: 'bottom' }]);
};
const DAMP = 0.012;

const query = (damp: boolean): HeatQuery => ({
  piece: pieceOf('cotton jersey', { cover: true, damp }),
  passage: passage({ prePressS: 3 }),
  adhesive: { softenC: 105, reference: { piece: pieceOf('cotton jersey'), surfaceC: 150, timeS: 10 }, shift: 1 },
  limits: { markC: null, damageC: null, dyeC: null },
});
const swept = (damp: boolean, steps: number, x: SweepQuery['x']['of'] = 'temperature'): SweepQuery => ({
  ...query(damp),
  x: x === 'time' ? { of: 'time', from: 4, to: 20, steps } : { of: 'temperature', from: 135, to: 170, steps },
  y: { of: 'base', from: 15, to: 80, steps },
});

function timed(scene: Scene, runs: number): number {
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const start = performance.now();
    solve(scene);
    times.push(performance.now() - start);
  }
  return median(times.slice(Math.floor(runs / 4)));
}
function timedSweep(entry: SweepQuery): number {
  const start = performance.now();
  for (const _ of sweepRows(entry)) void _;
  return performance.now() - start;
}

function error(scene: Scene): number {
  const fine = solve(scene, { resolution: 6, toleranceK: 0.0005 }).curves.glue;
  const own = solve(scene).curves.glue;
  if (!fine || !own) return Number.NaN;
  let most = 0;
  for (let t = 0.2; t <= 20; t += 0.1) most = Math.max(most, Math.abs(readAt(own, t) - readAt(fine, t)));
  return most;
}

const say = (where: string, figures: { dry: number; damp: number; sweepDry: number; sweepDamp: number; preview: number }) => {
  console.log(`8 dry layers, 20 s, ${where}, median: ${figures.dry.toFixed(2)} ms (wanted: at most 2)`);
  console.log(`8 layers with damp, 20 s, ${where}, median: ${figures.damp.toFixed(2)} ms (wanted: at most 6)`);
  console.log(`60 × 60 sweep of temperature and base, dry, ${where}: ${(figures.sweepDry / 1000).toFixed(2)} s (wanted: at most 4)`);
  console.log(`60 × 60 sweep of temperature and base, damp, ${where}: ${(figures.sweepDamp / 1000).toFixed(2)} s (wanted: at most 12)`);
  console.log(`10 × 10 preview, damp, ${where}: ${figures.preview.toFixed(0)} ms (wanted: at most 300)`);
};

console.log(`8 dry layers against its own converged answer, from 0.2 s: ${error(eight(0)).toFixed(3)} K (wanted: at most 0.05)`);
console.log(`8 layers with damp against its own converged answer: ${error(eight(DAMP)).toFixed(3)} K (wanted: at most 0.1)`);
timed(eight(0), 200);
say('Node', {
  dry: timed(eight(0), 200),
  damp: timed(eight(DAMP), 100),
  preview: timedSweep(swept(true, 10)),
  sweepDry: timedSweep(swept(false, 60)),
  sweepDamp: timedSweep(swept(true, 60)),
});

async function inBrowser(page: Page) {
  await page.goto('about:blank');
  // the runner names functions by a helper that a page does not have
  await page.addScriptTag({ content: `globalThis.__name = (f) => f; ${SCRIPT}; globalThis.heat = heat;` });
  return page.evaluate(
    ([dry, damp, sweeps]) => {
      const { heat } = globalThis as unknown as { heat: Shipped };
      const middle = (times: number[]) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;
      const run = (scene: Scene, runs: number) => {
        const times: number[] = [];
        for (let i = 0; i < runs; i++) {
          const start = performance.now();
          heat.solve(scene);
          times.push(performance.now() - start);
        }
        return middle(times.slice(Math.floor(runs / 4)));
      };
      const sweep = (entry: SweepQuery) => {
        const start = performance.now();
        for (const _ of heat.sweepRows(entry)) void _;
        return performance.now() - start;
      };
      run(dry, 200);
      return {
        dry: run(dry, 200),
        damp: run(damp, 100),
        preview: sweep(sweeps[0]),
        sweepDry: sweep(sweeps[1]),
        sweepDamp: sweep(sweeps[2]),
      };
    },
    [eight(0), eight(DAMP), [swept(true, 10), swept(false, 60), swept(true, 60)]] as const,
  );
}

/** The longest the page's own thread was held up while a setting is changed and a map is drawn, ms. */
async function longestTask(page: Page, address: string): Promise<number> {
  await page.addInitScript(() => {
    const held: number[] = [];
    Object.assign(globalThis, { held });
    new PerformanceObserver((list) => held.push(...list.getEntries().map((entry) => entry.duration))).observe({ type: 'longtask' });
  });
  await page.goto(`${address}/heat-bench?order=order-guide-tees&line=line-guide-m&print=a`);
  await page.getByRole('table', { name: 'What it comes to' }).waitFor();
  await page.waitForTimeout(1500);
  await page.evaluate(() => (globalThis as unknown as { held: number[] }).held.splice(0));
  await page.getByLabel('PTFE-coated sheet over it').check();
  await page.waitForTimeout(1500);
  await page.getByLabel('Time', { exact: true }).fill('10');
  await page.waitForTimeout(1500);
  await page.getByRole('tab', { name: 'Map of two inputs' }).click();
  await page.getByLabel('Up').selectOption('base');
  await page.getByLabel('Across').selectOption('temperature');
  await page.getByRole('button', { name: 'Draw the map' }).click();
  await page.locator('canvas[width="60"]').waitFor({ timeout: 60_000 });
  return page.evaluate(() => Math.max(0, ...(globalThis as unknown as { held: number[] }).held));
}

const shop = await Shop.open();
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
say('Chromium', await inBrowser(await browser.newPage()));
const held = await longestTask(await browser.newPage(), shop.address);
console.log(`page held up at most, while a setting changes and a map is drawn: ${held.toFixed(0)} ms (wanted: never over 50)`);
await browser.close();
await shop.close();
