/** The shelf at work: a family copied into a product from its sheet and used; two people at one thing; lists in and out. */
import { readFileSync, writeFileSync } from 'node:fs';
import { expect, test } from './shop';

test('a family is copied into a product from a supplier’s sheet, and a line is pressed with it', async ({ page }) => {
  await page.goto('/shelf');
  await page.getByLabel('New transfer, starting from').selectOption({ label: 'cut film' });
  await page.getByLabel('Name', { exact: true }).fill('Wagtail Solid');
  await page.getByLabel('Maker').fill('Plover Film Works');
  await page.getByLabel('Which sheet').fill('Plover sheet 40');
  const temperature = page.getByLabel('Temperature, as the sheet has it');
  const time = page.getByLabel('Time, as the sheet has it');
  await temperature.fill('300-316f, start 306f');
  await time.fill('9-8');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('The minimum 9 s is over the maximum 8 s.', { exact: true })).toBeVisible();
  await time.fill('12');
  await time.blur();
  await expect(page.getByText('10–14 s is our allowance')).toBeVisible();
  await page.getByRole('button', { name: '+ pre-press' }).click();
  await time.fill('6');
  await temperature.fill('');
  const stages = page.getByRole('region', { name: 'Stages', exact: true });
  await stages.getByLabel('Cover', { exact: true }).selectOption('required');
  await stages.getByLabel('of', { exact: true }).selectOption('paper');
  await page.getByRole('button', { name: 'press', exact: true }).click();
  await page.getByLabel('Pressure, as the sheet says it').fill('40 psi on our press');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('complementary', { name: 'Detail' }).getByRole('heading', { name: 'Wagtail Solid' })).toBeVisible();
  await expect(page.getByText('“40 psi on our press”, read as medium')).toBeVisible();

  await page.goto('/orders/order-crew-tees?line=line-crew-m');
  await page.getByRole('combobox', { name: 'Transfer' }).fill('wagtail');
  await page.getByRole('option', { name: /Wagtail Solid/ }).click();
  await page.getByRole('button', { name: 'Save the line' }).click();
  await expect(page.getByText('line changed')).toBeVisible();
  await page.getByRole('link', { name: 'Open the card' }).click();
  const card = page.getByRole('article', { name: 'Card' });
  await expect(card.locator('[data-lamp="clear"]').first()).toBeVisible();
  await page.getByRole('button', { name: /^Temperature:/ }).click();
  await expect(page.getByRole('region', { name: 'Why this temperature' })).toContainText(/Wagtail Solid, sheet of .*beginning at 306\s°F/);
  await expect(page.getByText('Pre-press 6 s under baking paper')).toBeVisible();
});

test('two people change one transfer: what only one touched is kept, what both did is asked', async ({ page, request }) => {
  await page.goto('/shelf/products/product-wren');
  await page.getByLabel('Name', { exact: true }).fill('Wren Supple');
  await page.getByLabel('Care, handed over with it').fill('Wash cool.');
  const shelf = await (await request.get('/api/v1/shelf')).json();
  const wren = shelf.products.find((product: { id: string }) => product.id === 'product-wren');
  const other = await request.put('/api/v1/shelf/products/product-wren', {
    data: { ...wren, care: 'Wash very cool.', pricePerSheetMinor: 400 },
    headers: { 'if-match': '"1"' },
  });
  expect(other.status()).toBe(200);
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  const asked = page.getByRole('region', { name: 'Changed meanwhile' }).or(page.locator('section[aria-label="Changed meanwhile"]'));
  await expect(asked).toContainText('Their pricePerSheetMinor is taken as it is.');
  await asked.getByLabel(/theirs: Wash very cool/).check();
  await asked.getByRole('button', { name: 'Save both together' }).click();
  await expect(page.getByRole('complementary', { name: 'Detail' })).toContainText('Wash very cool.');
  const after = await (await request.get('/api/v1/shelf')).json();
  expect(after.products.find((product: { id: string }) => product.id === 'product-wren')).toMatchObject({
    name: 'Wren Supple',
    care: 'Wash very cool.',
    pricePerSheetMinor: 400,
  });
});

test('what cannot be is told before it is sent, at its field, and the hand is led there', async ({ page }) => {
  const sent: string[] = [];
  page.on('request', (request) => request.method() === 'PUT' && sent.push(request.url()));
  await page.goto('/shelf/products/product-wren');
  const name = page.getByLabel('Name', { exact: true });
  await name.fill('');
  await page.getByLabel('Thickness on the blank, mm').fill('9');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByLabel('Thickness on the blank, mm')).toHaveAccessibleDescription(/at most 5/);
  await expect(name).toBeFocused();
  await expect(page.getByRole('alert').filter({ hasText: 'What you typed is still here.' })).toBeVisible();
  // each change is judged at once from then on
  await page.getByLabel('Thickness on the blank, mm').fill('0.1');
  await expect(page.getByLabel('Thickness on the blank, mm')).not.toHaveAccessibleDescription(/at most/);
  expect(sent).toEqual([]);
  await name.fill('Wren Light');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('complementary', { name: 'Detail' })).toContainText('Wren Light');
  expect(sent).toHaveLength(1);
});

test('retired and back, copied, undone; found by its words', async ({ page }) => {
  await page.goto('/shelf?kind=fabrics');
  await page.getByLabel('Find among fabrics').fill('silicone');
  await expect(page.getByRole('button', { name: /marshal shell nylon/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /navy team mesh/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Stop using' }).click();
  await expect(page.getByRole('button', { name: 'Use again' })).toBeVisible();
  await page.getByRole('button', { name: /Undo/ }).click();
  await expect(page.getByRole('button', { name: 'Stop using' })).toBeVisible();
  await page.getByRole('link', { name: 'Copy' }).click();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('marshal shell nylon, copy');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'marshal shell nylon, copy' })).toBeVisible();
  await page.getByRole('button', { name: /Undo/ }).click();
  await expect(page.getByRole('heading', { name: 'marshal shell nylon, copy' })).toHaveCount(0);
});

test('something that stands up gets under two prints: both stay when the blank is changed', async ({ page, request }) => {
  const stored = async () =>
    (await (await request.get('/api/v1/shelf')).json()).blanks.find(({ id }: { id: string }) => id === 'blank-guide-tee');
  await page.goto('/shelf/blanks/blank-guide-tee');
  await page.getByRole('button', { name: '+ something that stands up' }).click();
  const where = page.getByRole('group', { name: /Gets under the print at/ }).last();
  await where.getByLabel('full front').check();
  await where.getByLabel('sleeve').check();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect.poll(async () => (await stored()).obstructions.at(-1)?.at).toEqual(['full front', 'sleeve']);
  await page.goto('/shelf/blanks/blank-guide-tee');
  await page.getByLabel('Colour').fill('oat');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect.poll(async () => (await stored()).colour).toBe('oat');
  expect((await stored()).obstructions.at(-1).at).toEqual(['full front', 'sleeve']);
});

test('a list is taken out, changed, shown, and brought in; a bad line refuses it all', async ({ page }, info) => {
  await page.goto('/shelf?kind=aids');
  await page.getByRole('button', { name: 'Export, import' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: /as CSV/ }).click();
  const csv = readFileSync(await (await download).path(), 'utf8');
  const file = (name: string, text: string) => {
    const path = info.outputPath(name);
    writeFileSync(path, text);
    return path;
  };
  const input = page.getByLabel('Import a CSV or JSON file');
  await input.setInputFiles(file('bad.csv', csv.replace(',felt,', ',velvet,')));
  await expect(page.getByRole('alert')).toContainText(/One line of bad.csv cannot be read, so nothing was changed.*line \d+, serves/);
  await input.setInputFiles(file('good.csv', csv.replace('felt pad', 'wool felt pad')));
  await expect(page.getByText('good.csv would bring: one cover or pad changed')).toBeVisible();
  await page.getByRole('button', { name: 'Do it' }).click();
  await expect(page.getByText('Done: one cover or pad changed')).toBeVisible();
  await expect(page.getByRole('button', { name: /wool felt pad/ })).toBeVisible();
});

test('which transfer for a full-colour picture on a dark blend: ranked with lamp and reasons, Holds last', async ({ page }) => {
  await page.goto('/shelf/which?blank=blank-guide-tee');
  const list = page.getByRole('region', { name: 'Transfers, best first' });
  const serve = list.getByRole('region', { name: 'For this art' });
  await expect(serve.getByRole('listitem')).toHaveText([/Curlew Two-Sheet/, /Tern Full Colour/]);
  await expect(list.getByRole('region', { name: 'Would need other art' })).toContainText('not the thing for full colour art');
  const lamps = await list.locator('[data-lamp]').evaluateAll((marks) => marks.map((mark) => mark.getAttribute('data-lamp')));
  expect(lamps).toHaveLength(24);
  const rank = { clear: 0, care: 1, hold: 2 } as Record<string, number>;
  expect(lamps.map((lamp) => rank[lamp ?? ''])).toEqual(lamps.map((lamp) => rank[lamp ?? '']).sort());
  await page.getByLabel('The art is').selectOption('raised');
  await expect(list.getByRole('listitem').first()).not.toContainText('Curlew');
});

test('a transfer looked up in the middle of a line comes back to it with all that was typed', async ({ page }) => {
  await page.goto('/orders/order-crew-tees?line=new');
  await page.getByLabel('Pieces', { exact: true }).fill('4');
  await page.getByRole('combobox', { name: 'Blank' }).fill('coaster');
  await page.getByRole('option', { name: /star-chart coaster/ }).click();
  await page.getByLabel('Art', { exact: true }).fill('donor chart');
  await page.getByLabel('Art width').fill('9cm');
  await page.getByLabel('Kind of art').selectOption('full colour');
  await page.getByRole('link', { name: 'Which transfer for this?' }).click();
  const best = page.getByRole('region', { name: 'Transfers, best first' }).getByRole('listitem').first();
  await expect(best).toContainText('Kittiwake Clear');
  await expect(best).toContainText('for 4');
  await expect(page.getByLabel('Width')).toHaveValue('3.54');
  await best.getByRole('link', { name: 'Use it' }).click();
  await expect(page.getByRole('combobox', { name: 'Transfer' })).toHaveValue('Kittiwake Clear');
  await expect(page.getByLabel('Pieces', { exact: true })).toHaveValue('4');
  await expect(page.getByLabel('Art', { exact: true })).toHaveValue('donor chart');
  await page.getByLabel('Art height').fill('9cm');
  await page.getByRole('button', { name: 'Add the line, see its card' }).click();
  await expect(page.getByRole('article', { name: 'Card' })).toContainText('Kittiwake Clear');
});

test('cloth is weighed in ounces or grams, and a figure of the other is asked about', async ({ page }) => {
  await page.goto('/shelf/fabrics/fabric-tote-canvas');
  const weight = page.getByLabel('Weight');
  await expect(weight).toHaveValue('9.4');
  await weight.fill('340');
  await weight.blur();
  await expect(page.getByText('340 oz/yd², or did you mean 340 g/m²?')).toBeVisible();
  await page.getByRole('button', { name: /^340.g\/m²$/ }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('complementary', { name: 'Detail' })).toContainText('10.0 oz/yd²');
});

test('a transfer says what it never holds on, and how far a card may go from its one figure', async ({ page }) => {
  await page.goto('/shelf/products/product-obsidian');
  const allowance = page.getByRole('region', { name: 'Round a single figure' });
  await allowance.getByLabel('Time, ± %').fill('30');
  await allowance.getByLabel('Time, ± %').blur();
  await expect(page.getByText('8–16 s is our allowance')).toBeVisible();
  await page.getByRole('group', { name: 'What it goes on' }).getByLabel('wood').selectOption('never');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('complementary', { name: 'Detail' })).toContainText(
    'wood, glass, mirror. On anything else a test piece comes first.',
  );
});

test('a sheet with a tolerance, a group with a peel of its own and a finish with its pull is typed, and stands as it was written', async ({
  page,
}) => {
  await page.goto('/shelf/products/product-feldspar');
  const stages = page.getByRole('region', { name: 'Stages', exact: true });
  await stages.getByLabel('Temperature, as the sheet has it').fill('305 ± 9');
  await stages.getByRole('button', { name: '+ finish' }).click();
  await stages.getByLabel('Time, as the sheet has it').fill('about 6');
  await stages.getByLabel('of', { exact: true }).selectOption('used carrier');
  await stages.getByLabel('Its cover is pulled').selectOption('cold');
  const groups = page.getByRole('region', { name: 'By fabric or colour' });
  await groups.getByRole('button', { name: '+ settings for a group' }).click();
  const last = groups.getByLabel('On', { exact: true }).last();
  await last.selectOption('wood');
  await groups.getByLabel('Temperature', { exact: true }).last().fill('');
  await groups.getByLabel('Time', { exact: true }).last().fill('20');
  await groups.getByLabel('Peel', { exact: true }).last().selectOption('cold');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  const detail = page.getByRole('complementary', { name: 'Detail' });
  await expect(detail).toContainText(/305 ± 9\s°F/);
  await expect(detail).toContainText(/about 6\ss/);
  await expect(detail).toContainText(/for wood.*20\ss, peel cold/);
  await expect(detail).toContainText(/under (the )?used carrier.*, pulled cold/);
});

test('what is typed before the house rules are fetched is read in the house’s units', async ({ page }) => {
  let fetched = () => {};
  const typed = new Promise<void>((go) => (fetched = go));
  await page.route('**/api/v1/house', async (route) => {
    await typed;
    await route.continue();
  });
  await page.goto('/shelf/products/product-feldspar');
  const stages = page.getByRole('region', { name: 'Stages', exact: true });
  await stages.getByLabel('Temperature, as the sheet has it').fill('305 ± 9');
  await stages.getByLabel('Time, as the sheet has it').first().fill('11');
  fetched();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('complementary', { name: 'Detail' })).toContainText(/305 ± 9\s°F/);
});

test('what another device changes on the shelf is on an open card at once', async ({ page }) => {
  await page.goto('/orders/order-guide-tees/card');
  await expect(page.getByText('Wren Stretch', { exact: false }).first()).toBeVisible();
  const shelf = await (await page.request.get('/api/v1/shelf')).json();
  const wren = shelf.products.find((product: { id: string }) => product.id === 'product-wren');
  const headers = { 'if-match': `"${shelf.versions['product-wren']}"` };
  const data = { ...wren, name: 'Wren Supple' };
  expect((await page.request.put('/api/v1/shelf/products/product-wren', { data, headers })).ok()).toBe(true);
  await expect(page.getByText('Wren Supple', { exact: false }).first()).toBeVisible();
});
