/** A walk over pages at every width, by day and in the dark, with letters as they are and twice as large: what is wrong with each is told. */
import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import axe from 'axe-core';

const SCRIPT = readFileSync(new URL('./measure.js', import.meta.url), 'utf8');

interface Measured {
  lines: number;
  sideways: number;
  out: string[];
  broken: string[];
  cut: string[];
  overlapped: string[];
  small: string[];
}

const IS_WHOLE = process.env.TIDY_BEACON_SHARE === '1';
const WIDTHS = [390, 768, 1024, 1280, 1920] as const;
const SCALES = [100, 200] as const;
const SCHEMES = ['light', 'dark'] as const;
/** Wider windows are worked by a mouse. */
const TOUCHED = 1024;

const faultsOf = ({ lines: _, sideways, ...lists }: Measured): string[] => [
  ...(sideways > 0 ? [`scrolls sideways by ${sideways} px`] : []),
  ...Object.entries(lists).flatMap(([what, list]: [string, string[]]) => (list.length > 0 ? [`${what}: ${list.join(' | ')}`] : [])),
];

const drawn = (page: Page) =>
  page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done, 30)))));

/** The page at rest: what is wrong is asked again for a while, for something may still be on its way. */
async function measured(page: Page, isTouch: boolean): Promise<Measured> {
  for (let tries = 0; ; tries++) {
    await drawn(page);
    const found = (await page.evaluate(`measure(${isTouch})`)) as Measured;
    if (faultsOf(found).length === 0 || tries === 12) return found;
    await page.waitForTimeout(150);
  }
}

export async function serious(page: Page): Promise<string[]> {
  await page.evaluate(axe.source);
  const found = await page.evaluate(() => (window as unknown as { axe: typeof axe }).axe.run(document, { resultTypes: ['violations'] }));
  return found.violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.target.join(' ')).join(', ')}`);
}

interface Walked {
  /** Pages, and arrangements of them. */
  looked: number;
  lines: number;
  faults: Record<string, string[]>;
}

/** Every arrangement a page is looked at in: all of them where the whole was asked for, else each size of letters by day on one page and in the dark on the next. */
const arrangements = (nth: number) =>
  SCHEMES.flatMap((scheme, s) =>
    SCALES.flatMap((scale, k) => (IS_WHOLE || (s + k + nth) % 2 === 0 ? WIDTHS.map((width) => ({ scheme, scale, width })) : [])),
  );
/** Axe looks at it by day at a desk, in the dark on a phone. */
const UNDER_AXE = [
  { scheme: 'light', scale: 100, width: 1280 },
  { scheme: 'dark', scale: 100, width: 390 },
] as const;
type Arranged = ReturnType<typeof arrangements>[number];

async function opened(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.locator('main').getByRole('heading').first().waitFor();
  await expect(page.getByText(/^(Fetching|Working it out) /)).toHaveCount(0);
  await page.evaluate(SCRIPT);
}

/** Walks pages through every arrangement, and puts axe to each. */
export async function walk(page: Page, paths: readonly string[], { withAxe = true } = {}): Promise<Walked> {
  const wire = await page.context().newCDPSession(page);
  const arrange = async ({ scheme, scale, width }: Arranged) => {
    await page.emulateMedia({ colorScheme: scheme });
    await wire.send('Page.setFontSizes', { fontSizes: { standard: (16 * scale) / 100, fixed: (13 * scale) / 100 } });
    await page.setViewportSize({ width, height: width < 500 ? 844 : 800 });
  };
  const walked: Walked = { looked: 0, lines: 0, faults: {} };
  const tell = (where: string, faults: string[]) => {
    if (faults.length > 0) walked.faults[where] = faults;
  };
  for (const [nth, path] of paths.entries()) {
    await opened(page, path);
    for (const arranged of arrangements(nth)) {
      await arrange(arranged);
      const found = await measured(page, arranged.width <= TOUCHED);
      walked.looked++;
      walked.lines += found.lines;
      tell(`${path} ${arranged.width} px, ${arranged.scale} %, ${arranged.scheme}`, faultsOf(found));
    }
    for (const arranged of withAxe ? UNDER_AXE : []) {
      await arrange(arranged);
      await drawn(page);
      tell(`${path} under axe, ${arranged.scheme}`, await serious(page));
    }
  }
  return walked;
}
