/** A married print stage by stage: the figures of every cue are those of its stage, the press is turned, waited for and read, and a part is pressed again. */
import { expect, type Page } from '@playwright/test';
import { figuresAt } from '../src/core/card';
import { start, work } from './hands';
import { ownTest } from './shop';

const F = (c: number) => String(Math.round((c * 9) / 5 + 32));

/** Leaves so many pieces of a line. */
async function pieces(page: Page, count: number): Promise<void> {
  const { order, version } = await (await page.request.get('/api/v1/orders/order-nebula')).json();
  const lines = order.lines.map((line: { count: number }) => ({ ...line, count }));
  const saved = await page.request.put('/api/v1/orders/order-nebula', {
    data: { ...order, lines },
    headers: { 'if-match': `"${version}"` },
  });
  expect(saved.ok()).toBe(true);
}

ownTest('two-sheet tees: married, turned down with the wait, read by two keys, pressed, a corner pressed again', async ({ page, shop }) => {
  await shop.kill();
  await shop.start({ TIDY_BEACON_DEVICES: '0' });
  await page.goto(shop.address);
  await pieces(page, 2);
  await page.goto('/orders/order-nebula/card');
  await start(page);
  const { runs } = await (await page.request.get('/api/v1/rail')).json();
  const { card } = await (await page.request.get(`/api/v1/runs/${runs[0].runId}`)).json();
  const figures = page.locator('[data-closing]');
  const seen: string[] = [];
  const wrong: string[] = [];
  let spotted = false;
  await work(page, async ({ verb, piece }) => {
    const label = verb.startsWith('Turn to') ? 'Turn to' : verb;
    seen.push(label);
    // what stands large is what its stage says, at every cue
    const kind = (await figures.getAttribute('data-closing')) ?? '';
    const carded = card.stages.flatMap((stage: { by: string; kind: string }, i: number) =>
      stage.by === 'press' && stage.kind === kind ? figuresAt(card, i) : [],
    )[0];
    const words = (await figures.textContent()) ?? '';
    if (!carded || !words.includes(F(carded.tempC))) wrong.push(`${label}: ${words}`);
    if (label === 'Turn to') await expect(page.locator('button[data-cue]')).toContainText(/Turn to 28\d\s°F.*It is set to 30\d\s°F now/);
    if (label === 'Press cools') {
      await expect(page.locator('button[data-cue]')).toContainText('nobody has read it since it was turned');
      await page.keyboard.press('r');
      await page.keyboard.press('Enter');
      return 'Shift';
    }
    if (label === 'Look it over' && piece === 'piece 1' && !spotted) {
      spotted = true;
      await expect(page.locator('button[data-cue]')).toContainText(/The first piece: look for .*voids in the print/);
      await page.keyboard.press('s');
      await page.getByRole('heading', { name: 'Press a part of piece 1 again' }).waitFor();
      await page.keyboard.press('Enter');
      await expect(page.getByRole('alert')).toContainText('Where: touch the part');
      await page.keyboard.press('9');
      await page.getByLabel('For how long, s').fill('4');
      await page.getByRole('button', { name: /^Close on it/ }).click();
      return 'Shift';
    }
    return null;
  });
  expect(wrong).toEqual([]);
  expect(seen.filter((verb, i) => verb !== seen[i - 1])).toEqual(
    expect.arrayContaining(['Close to marry', 'Turn to', 'Press cools', 'Peel now', 'Peeling']),
  );
  await expect(page.getByRole('heading', { name: /All pressed: 2 good, 0 spoiled/ })).toBeVisible();
  const csv = await (await page.request.get('/api/v1/pressings.csv')).text();
  const mine = csv.split('\r\n').filter((line) => line.includes(runs[0].runId));
  expect(mine).toHaveLength(2);
  expect(mine.filter((line) => /pre-press panel 1\d\d(\.\d+)? C/.test(line))).toHaveLength(1);
  expect(mine.filter((line) => line.includes('spot_repair') && line.includes('spot=0.6666'))).toHaveLength(1);
  const { pressings } = await (await page.request.get('/api/v1/pressings?orderId=order-nebula&limit=50')).json();
  const first = pressings.find((p: { runId: string; piece: number }) => p.runId === runs[0].runId && p.piece === 1);
  await page.goto(`/log/${first.id}`);
  await expect(page.getByText(/spot repair: closed for .* carded 4\ss, set to 28\d\s°F, the top right part/)).toBeVisible();
});
