/** A married print stage by stage: the figures of every cue are those of its stage, the press is turned, waited for and read, and a part is pressed again. */
import { expect, type Page } from '@playwright/test';
import { figuresAt } from '../src/core/card';
import { start, work } from './hands';
import { ownTest } from './shop';

const F = (c: number) => String(Math.round((c * 9) / 5 + 32));

interface Order {
  id: string;
  name: string;
  lines: { id: string; count: number; size: string }[];
}

/** Six two-sheet tees: three of one order in M, three of another in L; the cover of their finish is pulled by itself once cold. */
async function twoOrders(page: Page): Promise<void> {
  const nebula = 'orders/order-nebula';
  const { order, version } = (await (await page.request.get(`/api/v1/${nebula}`)).json()) as { order: Order; version: number };
  const three = (doc: Order, of: Partial<Order['lines'][number]> = {}) => ({
    ...doc,
    lines: doc.lines.map((line) => ({ ...line, ...of, count: 3 })),
  });
  const saved = await page.request.put(`/api/v1/${nebula}`, { data: three(order), headers: { 'if-match': `"${version}"` } });
  expect(saved.ok()).toBe(true);
  const late = { ...three(order, { id: 'line-late', size: 'L' }), id: 'order-late', name: 'Late tees' };
  expect((await page.request.put('/api/v1/orders/order-late', { data: late })).ok()).toBe(true);
  const shelf = (await (await page.request.get('/api/v1/shelf')).json()) as {
    products: { id: string; stages: { kind: string; peel: string }[] }[];
    versions: Record<string, number>;
  };
  const curlew = shelf.products.find(({ id }) => id === 'product-curlew');
  const stages = curlew?.stages.map((stage) => (stage.kind === 'finish' ? { ...stage, peel: 'cold' } : stage));
  const headers = { 'if-match': `"${shelf.versions['product-curlew']}"` };
  expect((await page.request.put('/api/v1/shelf/products/product-curlew', { data: { ...curlew, stages }, headers })).ok()).toBe(true);
}

ownTest(
  'six two-sheet tees of two orders in one run: married, turned down with the wait, read by two keys, finished, a corner pressed again',
  async ({ page, shop }) => {
    await shop.kill();
    await shop.start({ TIDY_BEACON_DEVICES: '0' });
    await page.goto(shop.address);
    await twoOrders(page);
    await page.goto('/orders/order-nebula/card');
    await page.getByRole('checkbox', { name: /^Late tees, 3 pieces/ }).check();
    await start(page);
    const { runs } = await (await page.request.get('/api/v1/rail')).json();
    const { card, also } = await (await page.request.get(`/api/v1/runs/${runs[0].runId}`)).json();
    expect(also).toHaveLength(1);
    const figures = page.locator('[data-closing]');
    const seen: string[] = [];
    const wrong: string[] = [];
    const looked: string[] = [];
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
      if (label === 'Look it over') looked.push(piece);
      if (label === 'Look it over' && piece.startsWith('piece 1') && !spotted) {
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
      expect.arrayContaining(['Close to marry', 'Turn to', 'Press cools', 'Peel now', 'Peeling', 'Close to finish', 'Cooling']),
    );
    // each piece is told by its order
    expect([...new Set(looked)]).toEqual(
      ['Nebula tees, M: 1', 'Nebula tees, M: 2', 'Nebula tees, M: 3', 'Late tees, L: 1', 'Late tees, L: 2', 'Late tees, L: 3'].map(
        (who, i) => `piece ${i + 1} · ${who} of 3`,
      ),
    );
    await expect(page.getByRole('heading', { name: /All pressed: 6 good, 0 spoiled/ })).toBeVisible();
    await expect(page.getByRole('list', { name: 'By order' }).getByRole('listitem')).toHaveText([
      /^Nebula tees, M: 3 good/,
      /^Late tees, L: 3 good/,
    ]);
    const csv = await (await page.request.get('/api/v1/pressings.csv')).text();
    const mine = csv.split('\r\n').filter((line) => line.includes(runs[0].runId));
    expect(mine).toHaveLength(6);
    expect(mine.filter((line) => line.includes('order-late'))).toHaveLength(3);
    expect(mine.filter((line) => /panel 1\d\d(\.\d+)? C/.test(line)).length).toBeGreaterThan(0);
    expect(mine.filter((line) => line.includes('spot_repair') && line.includes('spot=0.6666'))).toHaveLength(1);
    const { pressings } = await (await page.request.get('/api/v1/pressings?orderId=order-nebula&limit=50')).json();
    const heats = pressings
      .filter((p: { runId: string }) => p.runId === runs[0].runId)
      .map(({ peels }: { peels: { peel: string }[] }) => peels);
    // sheets parted hot, the carrier peeled cold, the cover of the finish pulled cold by itself
    expect(heats.map((peels: { peel: string }[]) => peels.map(({ peel }) => peel))).toEqual(Array(3).fill(['hot', 'cold', 'cold']));
    const first = pressings.find((p: { runId: string; piece: number }) => p.runId === runs[0].runId && p.piece === 1);
    await page.goto(`/log/${first.id}`);
    await expect(page.getByText(/spot repair: closed for .* carded 4\ss, set to 28\d\s°F, the top right part/)).toBeVisible();
    await page.goto('/orders/order-late/record');
    await expect(page.getByText(/3 of 3/).first()).toBeVisible();
  },
);
