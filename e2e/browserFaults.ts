/** Runs in real browsers while the server is killed, the network cut and the page loaded anew, or while two browsers press at once. */
import type { BrowserContext, Page } from '@playwright/test';
import { apply, cueOf, planOf, type RunEvent, type RunState, replay } from '../src/core/run';
import { FAULTS, json, type Point } from './faults';
import type { Shop } from './shop';

/** Space counts as a slip of the hand sooner than this after the last, ms. */
const SLIP_MS = 650;

const runAddress = (shop: Shop, runId: string) => `${shop.address}/orders/order-crew-tees/run?line=line-crew-m&run=${runId}`;

/** What a run's page shows: the state of its cue and the words of it, without seconds. */
async function shown(page: Page): Promise<{ state: string; words: string }> {
  return page.evaluate(() => {
    const over = document.querySelector('[data-done]');
    const cue = document.querySelector('button[data-cue]');
    const verb = cue?.querySelector('[data-verb]')?.textContent ?? '';
    const piece = cue?.querySelector('[data-piece]')?.textContent ?? '';
    return { state: over ? 'over' : (cue?.getAttribute('data-cue') ?? ''), words: over?.textContent ?? `${verb} ${piece}`.toLowerCase() };
  });
}

const open = async (page: Page, shop: Shop, runId: string): Promise<void> => {
  await page.goto(runAddress(shop, runId));
  await page.locator('button[data-cue], [data-done]').first().waitFor();
};

/** One press of the key the cue asks for; true once the page has gone on from it. */
async function pressOnce(page: Page): Promise<boolean> {
  const before = await shown(page);
  if (before.state === 'over' || before.state === '') return false;
  await page.keyboard.press(before.state === 'running' ? 'o' : 'Space');
  for (let i = 0; i < 20; i++) {
    const now = await shown(page);
    // a clock that ran out by itself is no step
    if (before.state === 'running' && /^(open now|peel now|peel |cool enough)/.test(now.words)) return false;
    if (now.words !== before.words) return true;
    await page.waitForTimeout(25);
  }
  return false;
}

/** The run as the server has it, judged by itself: what is wrong with its events, and the state they come to. */
async function judged(shop: Shop, runId: string): Promise<{ events: RunEvent[]; state: RunState; cue: string; wrong: string[] }> {
  const { run, card, events } = await json(shop, `runs/${runId}`);
  const plan = planOf(run, card);
  const wrong: string[] = [];
  const taken: RunEvent[] = [];
  for (const event of events as RunEvent[]) {
    const applied = apply(plan, run.startedAt, taken, event);
    if (applied.state === 'refused') wrong.push(`${event.kind} cannot have happened: ${applied.message}`);
    taken.push(event);
  }
  if (new Set(taken.map(({ id }) => id)).size !== taken.length) wrong.push('an event stands twice');
  const state = replay(plan, run.startedAt, taken);
  const log = await json(shop, `pressings?orderId=${run.orderId}&limit=500`);
  const pressings = log.pressings.filter((pressing: { runId: string }) => pressing.runId === runId);
  if (pressings.length !== state.results.length) wrong.push(`${pressings.length} pressings for ${state.results.length} verdicts`);
  const closings = taken.filter(({ kind }) => kind === 'closed').map((event) => JSON.stringify({ ...event, id: '', at: 0 }));
  if (new Set(closings).size !== closings.length) wrong.push('a piece was pressed twice');
  const { verb, pieces } = cueOf(plan, state, Date.now());
  return { events: taken, state, cue: `${verb} piece ${pieces[0]}`.toLowerCase(), wrong };
}

/** Waits until the server has so many events, and a little longer, so that one too many is seen. */
async function settledAt(shop: Shop, runId: string, many: number): Promise<void> {
  for (let i = 0; i < 80 && (await json(shop, `runs/${runId}`)).events.length < many; i++) await new Promise((go) => setTimeout(go, 250));
  await new Promise((go) => setTimeout(go, 700));
}

/**
 * One fault with a page at the press: the server dies at a point of storing an event; the page presses on without it, is cut
 * off, loaded anew or closed and opened again.
 *
 * @param round chooses what happens to the page
 * @param made events made in this run so far, this page's and those before
 * @returns events made now, and what is wrong afterwards
 */
export async function faultRound(
  context: BrowserContext,
  shop: Shop,
  runId: string,
  { point, round, made }: { point: Point; round: number; made: number },
): Promise<{ made: number; wrong: string[] }> {
  let count = made;
  let page = context.pages()[0] ?? (await context.newPage());
  await shop.kill();
  await shop.start({ NODE_OPTIONS: FAULTS, FAULT_AT: point, FAULT_AFTER: String(round % 3) });
  await open(page, shop, runId);
  const press = async (times: number) => {
    for (let i = 0; i < times; i++) {
      await page.waitForTimeout(SLIP_MS);
      if (await pressOnce(page)) count++;
    }
  };
  // one of these ends the server; those after it are kept in the browser
  await press((round % 3) + 3);
  await shop.gone();
  if (round % 2 === 1) await context.setOffline(true);
  await press(1);
  await context.setOffline(false);
  await shop.start();
  if (round % 3 === 0) await page.reload();
  if (round % 3 === 1) {
    await page.close();
    page = await context.newPage();
    await open(page, shop, runId);
  }
  await press(1);
  // loaded anew in the moment of a press
  if (round % 4 === 3) await page.reload();
  await page.locator('button[data-cue], [data-done]').first().waitFor();
  await settledAt(shop, runId, count);
  const { events, wrong } = await judged(shop, runId);
  if (events.length !== count) wrong.push(`${count} steps were seen to be taken, ${events.length} are stored`);
  return { made: count, wrong: wrong.map((entry) => `round ${round}, ${point}: ${entry}`) };
}

/**
 * Two pages press one run to its end in random turns, now and then both at once.
 *
 * @param random 0 to 1
 * @returns what is wrong afterwards
 */
export async function twoPages(pages: readonly [Page, Page], shop: Shop, runId: string, random: () => number): Promise<string[]> {
  for (const page of pages) await open(page, shop, runId);
  for (let i = 0; i < 200; i++) {
    const states = await Promise.all(pages.map(shown));
    if (states.some(({ state }) => state === 'over')) break;
    const turn = random();
    const press = (page: Page, state: string) => page.keyboard.press(state === 'running' ? 'o' : 'Space');
    const who = turn < 0.35 ? [0] : turn < 0.7 ? [1] : [0, 1];
    await Promise.all(who.map((entry) => press(pages[entry] as Page, states[entry]?.state ?? '')));
    await pages[0].waitForTimeout(20 + random() * 400);
  }
  await pages[0].waitForTimeout(1200);
  const { state, cue, wrong } = await judged(shop, runId);
  const ends = await Promise.all(pages.map(shown));
  if (ends[0]?.words !== ends[1]?.words) wrong.push(`one page shows “${ends[0]?.words}”, the other “${ends[1]?.words}”`);
  if (!state.done) wrong.push(`it stands at ${cue}`);
  return wrong.map((entry) => `${runId}: ${entry}`);
}
