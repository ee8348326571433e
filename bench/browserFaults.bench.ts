/** Twenty faults with a real browser at the press, and a hundred runs that two browsers press at once. Takes about twenty minutes. */
import { chromium } from '@playwright/test';
import { faultRound, twoPages } from '../e2e/browserFaults';
import { POINTS, startRun, wantPieces } from '../e2e/faults';
import { Shop } from '../e2e/shop';

const FAULT_ROUNDS = Number(process.env.FAULT_ROUNDS ?? 20);
const TWO_RUNS = Number(process.env.TWO_RUNS ?? 100);
/** Rounds after which the run has few pieces left. */
const A_RUN = 8;
/** Pieces of a run that two press. */
const PIECES = 2;

/** Numbers that look random and are the same every time. @see Marsaglia 2003, xorshift */
function xorshift(seed: number): () => number {
  let x = seed;
  return () => {
    x ^= x << 13;
    x ^= x >>> 17;
    x ^= x << 5;
    return (x >>> 0) / 2 ** 32;
  };
}

const browser = await chromium.launch({ executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: ['--no-sandbox'] });
const newContext = async () => {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  // the runner of this file names functions by a helper that a page does not have
  await context.addInitScript('globalThis.__name = (named) => named');
  return context;
};
try {
  const wrong: string[] = [];
  for (let round = 0; round < FAULT_ROUNDS; ) {
    const shop = await Shop.open();
    const context = await newContext();
    const runId = `run-browser-${round}`;
    await startRun(shop, runId);
    let made = 1;
    for (const until = Math.min(FAULT_ROUNDS, round + A_RUN); round < until; round++) {
      const entry = await faultRound(context, shop, runId, { point: POINTS[round % POINTS.length] ?? 'before', round, made });
      made = entry.made;
      wrong.push(...entry.wrong);
    }
    await context.close();
    await shop.close();
  }
  console.log(
    `${FAULT_ROUNDS} faults with a browser at the press: ${wrong.length === 0 ? 'every step once and in order' : wrong.join('; ')}`,
  );

  const clashes: string[] = [];
  const shop = await Shop.open();
  const contexts = [await newContext(), await newContext()] as const;
  const pages = [await contexts[0].newPage(), await contexts[1].newPage()] as const;
  const random = xorshift(20261126);
  for (let n = 0; n < TWO_RUNS; n++) {
    await wantPieces(shop, (n + 1) * PIECES);
    await startRun(shop, `run-two-${n}`);
    clashes.push(...(await twoPages(pages, shop, `run-two-${n}`, random)));
  }
  console.log(
    `${TWO_RUNS} runs of ${PIECES} pieces pressed by two browsers: ${clashes.length === 0 ? 'the same end on both, nothing pressed twice' : clashes.join('; ')}`,
  );
  await shop.close();
} finally {
  await browser.close();
}
