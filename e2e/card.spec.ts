/** The card under the hand: a Hold and its way out, the handle by key and by drag, undo on the rail. */
import { expect, test } from './shop';

test('a Hold is settled by its first way out, and undo brings it back', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('listitem').filter({ hasText: 'Members’ evening tees' }).getByRole('link', { name: 'Find a way out' }).click();
  const lamp = (state: string) =>
    expect(page.getByRole('article', { name: 'Card' }).locator('[data-lamp]').first()).toHaveAttribute('data-lamp', state);
  await lamp('hold');
  await expect(page.getByRole('button', { name: 'Start pressing' })).toHaveCount(0);
  await expect(page.getByText(/marked beside the art/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Use this' }).first().click();
  await lamp('clear');
  await expect(page.getByRole('button', { name: 'Start pressing' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await lamp('hold');
});

test('the handle moves by arrow key and by drag; the lamp follows; what is kept is judged by the server alike', async ({ page }) => {
  await page.goto('/orders/order-crew-tees/card');
  const handle = page.getByRole('slider', { name: 'Set value' });
  const card = page.getByRole('article', { name: 'Card' });
  await expect(handle).toHaveAttribute('aria-valuetext', /°F away/);
  const first = (await handle.getAttribute('aria-valuetext')) ?? '';
  await handle.focus();
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowRight');
  await expect(card.locator('[data-lamp]').first()).toHaveAttribute('data-lamp', 'hold');
  await page.getByRole('button', { name: 'Reset' }).click();
  await expect(handle).toHaveAttribute('aria-valuetext', first);

  const box = await handle.boundingBox();
  if (!box) throw new Error('the handle is nowhere');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 22, box.y + box.height / 2, { steps: 8 });
  await page.mouse.up();
  await expect(handle).not.toHaveAttribute('aria-valuetext', first);
  const dragged = (await handle.getAttribute('aria-valuetext')) ?? '';
  const state = await card.locator('[data-lamp]').first().getAttribute('data-lamp');
  await page.getByRole('button', { name: 'Save this set value' }).click();
  await expect(page.getByText('Set by hand.')).toBeVisible();
  await expect(handle).toHaveAttribute('aria-valuetext', dragged);
  await expect(card.locator('[data-lamp]').first()).toHaveAttribute('data-lamp', state ?? '');
  await page.getByRole('button', { name: 'Let the card choose again' }).click();
  await expect(handle).toHaveAttribute('aria-valuetext', first);
});

test('two people change one order: the second is told, and what they typed stays', async ({ page, request }) => {
  await page.goto('/orders/order-hoodies?line=line-hoodie-l');
  const pieces = page.getByLabel('Pieces');
  await expect(pieces).toHaveValue('4');
  const reply = await request.get('/api/v1/orders/order-hoodies');
  const { order, version } = await reply.json();
  await pieces.fill('6');
  // the page does not hear of what the other changes
  await page.route('**/api/v1/orders/order-hoodies', (route) => (route.request().method() === 'GET' ? route.abort() : route.continue()));
  await request.put('/api/v1/orders/order-hoodies', {
    data: { ...order, note: 'ring before coming' },
    headers: { 'if-match': `"${version}"` },
  });
  await page.getByRole('button', { name: 'Save the line' }).click();
  await expect(page.getByRole('alert')).toContainText('changed somewhere else');
  await expect(pieces).toHaveValue('6');
});

test('a marry’s time and heat are chosen for one print, kept by the house, and dropped there again', async ({ page }) => {
  await page.goto('/orders/order-nebula/card');
  const card = page.getByRole('article', { name: 'Card' });
  await page.getByText('Press it another way').click();
  await page.getByLabel('Marry', { exact: true }).fill('80');
  await page.getByRole('button', { name: 'Use it for this print' }).click();
  await expect(card).toContainText(/Close.*, 1:20, medium/);
  await page.getByLabel('Marry, set to').fill('400');
  await page.getByRole('button', { name: 'Use it for this print' }).click();
  await expect(card.locator('[data-lamp="hold"]').first()).toBeVisible();
  await expect(card).toContainText('too hot for the sheet in the hottest tenth');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(card.locator('[data-lamp="clear"]').first()).toBeVisible();
  const keep = page.getByRole('button', { name: 'Save it for Curlew Two-Sheet on Swing-away' });
  await expect(keep).toHaveCount(1);
  await keep.click();
  await expect(page.getByText('marry kept by the house')).toBeVisible();

  await page.goto('/house');
  const kept = page.getByRole('region', { name: 'Settings the house keeps' });
  await expect(kept).toContainText(/Curlew Two-Sheet on Swing-away, marry: 1:20/);
  await expect(kept).toContainText('from a card');
  await kept.getByRole('button', { name: 'Delete' }).click();
  await expect(kept).toContainText('None yet');
});

test('an embossed print shows one letter for each of its layers, each the way it lies on its own sheet', async ({ page, request }) => {
  const { order } = await (await request.get('/api/v1/orders/order-crew-tees')).json();
  const [line] = order.lines;
  const [print] = line.prints;
  const layers = [
    { key: 'a', productId: 'product-tuff', over: [] },
    { key: 'b', productId: 'product-shale', over: ['a'] },
  ];
  const shield = {
    ...print,
    position: 'left chest',
    artName: 'Shield',
    artKind: 'full colour',
    widthMm: 90,
    heightMm: 90,
    embossed: true,
    layers,
  };
  const saved = await request.put('/api/v1/orders/order-shields', {
    data: { ...order, id: 'order-shields', name: 'Shields', lines: [{ ...line, prints: [shield] }] },
  });
  expect(saved.status()).toBe(200);
  await page.goto('/orders/order-shields/card');
  const card = page.getByRole('article', { name: 'Card' });
  await expect(card.locator('figure[data-mirror="mirrored"]')).toContainText('Tuff Block');
  await expect(card.locator('figure[data-mirror="as read"]')).toContainText('Shale Print');
  await expect(card).toContainText('turn the piece over, and press from the back');
});

test('how hard it is pressed is chosen for a print and kept by the house; another than the sheet’s is told', async ({ page }) => {
  await page.goto('/orders/order-nebula/card');
  const card = page.getByRole('article', { name: 'Card' });
  await page.getByText('Press it another way').click();
  await page.getByLabel('Pressure', { exact: true }).selectOption('light');
  await expect(card).toContainText(/asks for medium pressure, and it is pressed light/);
  await page.getByRole('button', { name: 'Save it for Curlew Two-Sheet on Swing-away' }).click();
  await page.getByLabel('Marry, pressure').selectOption('firm');
  await expect(card).toContainText(/Close.*, 1:45, firm/);
  await page.goto('/house');
  const kept = page.getByRole('region', { name: 'Settings the house keeps' });
  await expect(kept).toContainText('Curlew Two-Sheet on Swing-away: light pressure');
  await kept.getByRole('button', { name: 'Delete' }).click();
  await expect(kept).not.toContainText('light pressure');
  // what was chosen for the print stands
  await page.goto('/orders/order-nebula/card');
  await expect(card).toContainText(/it is pressed light/);
});
