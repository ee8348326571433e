/** The card's whole judgement on the screen: a numbered vest from a roster, glass beside tile, silicone and its way out, a test piece noted. */
import { writeFileSync } from 'node:fs';
import { start, work } from './hands';
import { expect, test } from './shop';

test('a two-colour numbered vest from a roster, through its two layers, to a record with its number', async ({ page }) => {
  test.setTimeout(600_000);
  await page.goto('/orders');
  await page.getByLabel('What it is for').fill('Watch vests');
  await page.keyboard.press('Enter');
  await page.getByLabel('Pieces', { exact: true }).fill('2');
  await page.getByRole('combobox', { name: 'Blank' }).fill('vest');
  await page.getByRole('option', { name: /telescope-crew vest/ }).click();
  await page.getByLabel('Size').selectOption('L');
  await page.getByRole('combobox', { name: 'Transfer' }).fill('dunlin');
  await page.getByRole('option', { name: /Dunlin Solid/ }).click();
  await page.getByLabel('Its colour').selectOption('bone');
  await page.getByRole('button', { name: '+ layer over it' }).click();
  await page.getByLabel('Its colour').nth(1).selectOption('signal red');
  await page.getByLabel('Position').selectOption('full back');
  await page.getByLabel('Art', { exact: true }).fill('watch number');
  await page.getByLabel('Art width').fill('8');
  await page.getByLabel('Art height').fill('9');
  await page.getByRole('button', { name: '+ a number or name on every piece' }).click();
  const roster = page.getByLabel('Roster: one line a piece, number and name');
  await roster.fill('7, Ines');
  await roster.blur();
  await expect(page.getByText('The list has 1 entry for 2 pieces. Every piece needs its own.')).toBeVisible();
  await roster.fill('7, Ines\n7, Bao');
  await roster.blur();
  await expect(page.getByText('Line 2: Number 7 stands already on line 1.')).toBeVisible();
  await roster.fill('7, Ines\n9, Bao');
  await roster.blur();
  await expect(page.getByText('2 entries, one for each piece.')).toBeVisible();
  await page.getByRole('button', { name: 'Add the line, see its card' }).click();

  const card = page.getByRole('article', { name: 'Card' });
  await expect(card).toContainText('Dunlin Solid in bone, then Dunlin Solid in signal red');
  await expect(card.getByRole('img', { name: /^Stages: .*tack .*peel.*place .*press/ })).toBeVisible();
  await expect(card).toContainText(/7 Ines.*9 Bao/);
  await expect(card.locator('[data-mirror="mirrored"]')).toBeVisible();
  await page.getByText('Press it another way').click();
  await page.getByLabel('Cover over the print').selectOption('a cover');
  await expect(card).toContainText('PTFE-coated sheet');
  await start(page);

  await expect(page.locator('[data-piece]')).toContainText('7 Ines');
  const seen: string[] = [];
  const told: string[] = [];
  const covered: boolean[] = [];
  const counts = page.getByRole('status').filter({ hasText: 'left' });
  await work(page, async ({ verb, piece }) => {
    if (seen.at(-1) !== `${verb} ${piece}`) seen.push(`${verb} ${piece}`);
    const between = (await page.getByRole('img', { name: /^From the top/ }).getAttribute('aria-label')) ?? '';
    if (verb === 'Close' || verb === 'Close to tack') covered.push(/PTFE-coated sheet/.test(between));
    if (verb === 'Place') told.push((await page.locator('button[data-cue]').textContent()) ?? '');
    return (await counts.textContent())?.includes('1 good') ? 'stop' : null;
  });
  // a wait that is ended early is a peel
  const verbs = seen
    .filter((candidate) => candidate.includes('7 Ines'))
    .map((entry) => entry.replace(/ 7 Ines.*/, '').replace('Cooling', 'Peel'));
  const first = verbs.filter((verb, i) => verb !== verbs[i - 1]);
  const done = ['Load', 'Close to pre-press', 'Place', 'Close to tack', 'Peel', 'Place', 'Close', 'Peel', 'Look it over'];
  expect(first.filter((verb) => done.includes(verb))).toEqual(done);
  // every closing on a layer under its cover, and the cover asked for as the top layer is placed
  expect(covered.length).toBeGreaterThanOrEqual(2);
  expect(covered.every(Boolean)).toBe(true);
  expect(told.some((words) => words.includes('Lay the PTFE-coated sheet over it'))).toBe(true);
  // while the first cools, the next name is up
  expect(seen.some((candidate) => candidate.includes('9 Bao'))).toBe(true);
  await page.goto('/log?q=watch+vests');
  await expect(page.getByRole('row').filter({ hasText: '7 Ines' })).toContainText('Dunlin Solid, Dunlin Solid');
});

test('a roster is read from a file, its bad lines named; mended on the spot it serves', async ({ page }, info) => {
  await page.goto('/orders/order-crew-tees?line=line-crew-m');
  const pieces = Number(await page.getByLabel('Pieces', { exact: true }).inputValue());
  const path = info.outputPath('crew.csv');
  const people = Array.from({ length: pieces }, (_, i) => `Crew ${i + 1};${i + 1}`);
  writeFileSync(path, ['Name;Number', ...people.slice(0, -1), 'Crew last;1'].join('\n'));
  await page.getByRole('button', { name: '+ a number or name on every piece' }).click();
  await page.getByLabel('Read a CSV file').setInputFiles(path);
  await expect(page.getByText(`Line ${pieces + 1}: Number 1 stands already on line 2.`)).toBeVisible();
  const roster = page.getByLabel('Roster: one line a piece, number and name');
  await roster.fill((await roster.inputValue()).replace('Crew last;1', `Crew last;${pieces}`));
  await roster.blur();
  await expect(page.getByText(`${pieces} entries, one for each piece.`)).toBeVisible();
  await page.getByRole('button', { name: 'Save the line' }).click();
  await page.getByRole('link', { name: 'Open the card' }).click();
  await expect(page.getByRole('article', { name: 'Card' })).toContainText('1 Crew 1');
});

test('a coaster looked at through its glass is not mirrored; the tile beside it is', async ({ page }) => {
  await page.goto('/orders/order-hard/card?line=line-coasters');
  const card = page.getByRole('article', { name: 'Card' });
  await expect(card.locator('[data-mirror="as read"]')).toBeVisible();
  await expect(card).toContainText('An R on the sheet must read as in a book.');
  await expect(card).toContainText('never on metal');
  await page.getByRole('link', { name: /dome wall tile/ }).click();
  await expect(card.locator('[data-mirror="mirrored"]')).toBeVisible();
  await expect(card).toContainText('An R on the sheet must read backwards.');
});

test('a silicone windbreaker is held, and its way out takes it off', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('listitem').filter({ hasText: 'Marshal windbreakers' }).getByRole('link', { name: 'Find a way out' }).click();
  const card = page.getByRole('article', { name: 'Card' });
  await expect(card).toContainText('marshal shell nylon is silicone: ordinary adhesive will not hold on it.');
  await expect(page.getByRole('button', { name: 'Start pressing' })).toHaveCount(0);
  await page.getByRole('region', { name: 'Ways out' }).getByRole('button', { name: 'Use this' }).first().click();
  await expect(card).toContainText('Obsidian Hold');
  await expect(page.getByRole('button', { name: 'Start pressing' })).toBeVisible();
});

test('a test piece that held is noted on the blank with how, and its card stands', async ({ page }) => {
  await page.goto('/orders/order-windbreakers/card');
  await page.getByRole('button', { name: 'Test it' }).click();
  await page.getByRole('button', { name: 'It held: note it on the blank' }).click();
  await expect(page.getByText('Say how it was tested')).toBeVisible();
  await page.getByLabel('How', { exact: true }).fill('pulled with tape after a day');
  await page.getByRole('button', { name: 'It held: note it on the blank' }).click();
  await expect(page.getByRole('button', { name: 'Start pressing' })).toBeVisible();
  await page.goto('/shelf?kind=blanks&on=blank-windbreaker');
  await expect(page.getByRole('complementary', { name: 'Detail' })).toContainText('pulled with tape after a day');
});

test('split heat stands beside heat from above, its lower platen can be set by hand, and all of it is undone', async ({ page }) => {
  await page.goto('/orders/order-members/card');
  const card = page.getByRole('article', { name: 'Card' });
  const ways = card.getByRole('region', { name: 'Two ways to heat it' });
  await expect(ways.getByRole('listitem').first()).toContainText('This card');
  await ways.getByRole('button', { name: 'Press it this way' }).click();
  await expect(card).toContainText('Set the lower platen to');
  await expect(ways.getByRole('listitem').last()).toContainText('This card');
  await page.getByText('Press it another way').click();
  await page.getByLabel('Lower platen, set to').fill('290');
  await page.getByRole('button', { name: 'Use it for this print' }).click();
  await expect(card).toContainText('Set the lower platen to 290 °F');
  await page.getByRole('button', { name: /Undo/ }).click();
  await expect(card).not.toContainText('Set the lower platen to 290 °F');
  await ways.getByRole('button', { name: 'Press it this way' }).click();
  await expect(card).not.toContainText('Set the lower platen to');
  await page.getByRole('button', { name: /Undo/ }).click();
  await expect(card).toContainText('Set the lower platen to');
});

test('two prints on one piece: each its own card, the second with a slip sheet for the first', async ({ page }) => {
  await page.goto('/orders/order-crew-tees?line=line-crew-m');
  await page.getByRole('button', { name: '+ another print on it' }).click();
  await page.getByRole('combobox', { name: 'Transfer' }).fill('dunlin');
  await page.getByRole('option', { name: /Dunlin Solid/ }).click();
  await page.getByLabel('Position').selectOption('left chest');
  await page.getByLabel('Art', { exact: true }).fill('small dome');
  await page.getByLabel('Art width').fill('3');
  await page.getByLabel('Art height').fill('3');
  await page.getByRole('button', { name: 'Save the line' }).click();
  await expect(page.getByText('line changed')).toBeVisible();
  await page.getByRole('link', { name: 'Open the card' }).click();
  const card = page.getByRole('article', { name: 'Card' });
  await expect(card).not.toContainText('Slip sheet');
  await page.getByRole('link', { name: '2. left chest' }).click();
  await expect(card).toContainText('Slip sheet between the upper back and the base');
  // from station to station it stays the second print
  await page.getByRole('link', { name: 'Place', exact: true }).click();
  await expect(page).toHaveURL(/place\?line=line-crew-m&print=b/);
  await page.getByRole('link', { name: 'Card', exact: true }).click();
  await expect(card).toContainText('Slip sheet between the upper back and the base');
});

test('the card on paper is one page of A4 and of Letter', async ({ request }) => {
  for (const [paper, box] of [
    ['A4', '[0 0 595.28 841.89]'],
    ['Letter', '[0 0 612 792]'],
  ] as const) {
    for (const address of [
      'order-nebula/card.pdf?line=line-nebula-m&print=a',
      'order-members/card.pdf?line=line-members-s&print=a',
      'order-hard/card.pdf?line=line-coasters&print=a',
    ]) {
      const reply = await request.get(`/api/v1/orders/${address}&paper=${paper}`);
      expect(reply.headers()['content-type']).toBe('application/pdf');
      const pdf = (await reply.body()).toString('latin1');
      expect(pdf.startsWith('%PDF')).toBe(true);
      expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(1);
      expect(pdf).toContain(box);
    }
  }
});
