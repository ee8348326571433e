/** A press surveyed, its cold corner felt by an order whose art lies there, and the way out of it. */

import { connect } from 'node:net';
import type { Page } from '@playwright/test';
import { cue, start } from './hands';
import { expect, ownTest, test } from './shop';

test('the old clamshell is surveyed, its cold corner is felt by an order, turning the piece takes it out of there, the next survey stands on the chart', async ({
  page,
}) => {
  await page.goto('/orders/order-crew-tees?line=new');
  await page.getByLabel('Pieces', { exact: true }).fill('4');
  await page.getByRole('combobox', { name: 'Blank' }).fill('crew tee');
  await page.getByRole('option', { name: /^crew tee/ }).click();
  await page.getByLabel('Size').selectOption('M');
  await page.getByRole('combobox', { name: 'Transfer' }).fill('bunting');
  await page.getByRole('option', { name: /Bunting Patch/ }).click();
  await page.getByLabel('Position').selectOption('left chest');
  await page.getByLabel('Art', { exact: true }).fill('owl badge');
  await page.getByLabel('Kind of art').selectOption('raised');
  await page.getByLabel('Art width').fill('12cm');
  await page.getByLabel('Art height').fill('12cm');
  await page.getByLabel('Press', { exact: true }).selectOption('Old clamshell');
  await page.getByText('Where it lies on the platen: worked out').click();
  await page.getByLabel('Its middle, to the right by').fill('-11cm');
  await page.getByLabel('Its middle, towards you by').fill('-11cm');
  await page.getByRole('button', { name: 'Add the line, see its card' }).click();
  const card = page.getByRole('article', { name: 'Card' });
  await card.locator('[data-lamp]').first().waitFor();
  await expect(card.locator('[data-lamp="hold"]')).toHaveCount(0);
  const address = page.url();

  await survey(page);
  await expect(page.getByRole('img', { name: /^Platen map.*back left .* colder/ })).toBeVisible();
  await expect(page.getByText('1 of 5 surveys made')).toBeVisible();

  await page.goto(address);
  await expect(card.locator('[data-lamp="care"]').first()).toBeVisible();
  await expect(card).toContainText('The art lies over a cold spot of Old clamshell');
  await expect(page.getByRole('region', { name: 'The art on the platen' }).locator('[data-art]')).toBeVisible();
  const way = page
    .getByRole('region', { name: 'Better laid' })
    .getByRole('listitem')
    .filter({ hasText: 'Turn the piece round on the platen' });
  await way.getByRole('button', { name: 'Use this' }).click();
  await expect(card.locator('[data-lamp="hold"]')).toHaveCount(0);
  await expect(card).not.toContainText('cold spot of Old clamshell');

  await survey(page);
  await expect(page.getByText('2 of 5 surveys made')).toBeVisible();
  await expect(page.locator('[data-survey]')).toHaveCount(2);

  // a minute's check is told against that survey, at once; a wrong one is withdrawn
  const check = page.getByRole('region', { name: 'Quick check' });
  await page
    .getByRole('complementary', { name: 'Rail' })
    .getByRole('link', { name: /^Old clamshell/ })
    .click();
  await check.getByLabel('Press set to').fill('275');
  await check.getByLabel('Middle reads').fill('300');
  await check.getByRole('button', { name: 'Save this check' }).click();
  await expect(check.getByRole('status')).toContainText(
    /\d+\s°F hotter than its survey .* It has changed, or one of the two was read wrong/,
  );
  await page.getByText('Surveys and tests kept').click();
  await page
    .locator('[data-record]')
    .filter({ hasText: 'quick check, 1 place by probe' })
    .getByRole('button', { name: 'Withdraw' })
    .click();
  await expect(check.getByRole('status')).toHaveCount(0);
});

/** Takes nine readings from the simulated probe, each once it has come to rest; what is asked about is confirmed. */
async function survey(page: Page) {
  await page.goto('/presses?on=press-clamshell');
  await page.getByRole('link', { name: 'Survey the upper platen' }).click();
  await page.getByLabel('Places').selectOption('nine');
  await page.getByLabel('Press set to').fill('275');
  await page.keyboard.press('Tab');
  const take = page.getByRole('button', { name: 'Add it from probe-1' });
  for (let place = 1; place <= 9; place++) {
    await expect(page.getByLabel(`Place ${place}: reads`)).toBeVisible();
    await take.click();
    const asked = page.getByRole('button', { name: 'It is so: take it' });
    const next = page.getByLabel(`Place ${place + 1}: reads`).or(page.getByRole('button', { name: 'Save the survey' }));
    await expect(asked.or(next)).toBeVisible();
    if (await asked.isVisible()) await asked.click();
    await expect(next).toBeVisible();
  }
  await page.getByRole('button', { name: 'Save the survey' }).click();
  await page.getByRole('img', { name: /^Platen map/ }).waitFor();
}

test('an infrared gun on bare metal is refused with the figure it would show; three readings outlive leaving the page', async ({
  page,
}) => {
  await page.goto('/presses/press-clamshell/survey?platen=upper');
  await page.getByLabel('Measured with').selectOption('infrared');
  await page.getByLabel('The platen’s face is').selectOption('bare metal');
  await expect(page.getByRole('alert')).toContainText(/cannot read bare metal.*would show about 1\d\d\s°F/);
  await page.getByLabel('Measured with').selectOption('probe');
  await page.getByLabel('The platen’s face is').selectOption('dark coated');
  for (const [i, reading] of ['297', '296', '298'].entries()) {
    await page.getByLabel(`Place ${i + 1}: reads`).fill(reading);
    await page.getByRole('button', { name: 'Add reading', exact: true }).click();
  }
  await expect(page.getByLabel('Place 4: reads')).toBeVisible();
  await page.getByLabel('Place 4: reads').fill('255');
  await page.getByRole('button', { name: 'Add reading', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('under the other places');
  await page.getByRole('button', { name: 'Read it again' }).click();
  await page.getByLabel('Places').selectOption('nine');
  await expect(page.getByLabel('Place 1: reads')).toBeVisible();
  await page.getByRole('button', { name: /Undo/ }).click();
  await expect(page.getByLabel('Place 4: reads')).toBeVisible();
  await page.goto('/');
  await page.goto('/presses/press-clamshell/survey?platen=upper');
  await expect(page.getByLabel('Place 4: reads')).toHaveValue('');
});

test('pressure: a linkage is measured, a paper pull names the open side, a rotate test is kept as evidence', async ({ page }) => {
  await page.goto('/presses?on=press-swing');
  await page.getByRole('tab', { name: 'Pressure' }).click();
  await expect(page.getByText('Its linkage multiplies the force by 2.41.')).toBeVisible();
  await page.getByText('Measure its linkage once').click();
  await page.getByLabel('Line pressure then').fill('40psi');
  await page.getByLabel('Force on the load cell, N').fill('4000');
  await page.getByRole('button', { name: 'Save the linkage' }).click();
  await expect(page.getByText(/Its linkage multiplies the force by 2\.2\d\./)).toBeVisible();
  for (const corner of ['back left', 'back right']) await page.getByLabel(corner).selectOption('slides free');
  await expect(page.getByText(/under light; not parallel: the back is open/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the paper pull' }).click();
  await expect(page.getByText('under light, not parallel')).toBeVisible();

  await page.getByRole('tab', { name: 'Surface' }).click();
  await page.getByRole('button', { name: 'Do the rotate test' }).click();
  await page.getByRole('button', { name: 'It stayed where it was on the press' }).click();
  await expect(page.getByRole('alert')).toContainText('Say first with which transfer');
  await page.getByRole('region', { name: 'Rotate test' }).getByLabel('Transfer').selectOption({ label: 'Wren Stretch' });
  await page.getByRole('button', { name: 'It stayed where it was on the press' }).click();
  await expect(page.getByText(/The bad area stayed where it is on the press/)).toBeVisible();
});

test('warm-up is told from power and mass, and refined by a time that was logged', async ({ page }) => {
  await page.goto('/presses?on=press-swing');
  await page.getByRole('tab', { name: 'Warm-up' }).click();
  await expect(page.getByText(/Calculated with 2000 W, 12 kg/)).toBeVisible();
  const log = page.getByRole('form', { name: 'A time it really took' });
  await log.getByLabel('From').fill('200f');
  await log.getByLabel('To').fill('300f');
  await log.getByLabel('Seconds').fill('420');
  await log.getByRole('button', { name: 'Save the time' }).click();
  await expect(page.getByText('(1 logged; power and loss are refined by them)')).toBeVisible();
  await expect(page.getByText(/Calculated with 2000 W/)).toHaveCount(0);
  // one that cannot be true is refused in words, and what was typed stays
  await log.getByLabel('From').fill('20c');
  await log.getByLabel('To').fill('180c');
  await log.getByLabel('Seconds').fill('30');
  await log.getByRole('button', { name: 'Save the time' }).click();
  await expect(page.getByText(/No press heats so fast/).first()).toBeVisible();
  await expect(log.getByLabel('Seconds')).toHaveValue('30');
  // a wrong one is withdrawn, and counted again by undo
  await page.getByText('Times kept').click();
  await page.getByRole('button', { name: 'Withdraw' }).click();
  await expect(page.getByText('does not count', { exact: true })).toBeVisible();
  await expect(page.getByText(/Calculated with 2000 W/)).toBeVisible();
  await page.getByRole('button', { name: /Undo/ }).click();
  await expect(page.getByText('(1 logged; power and loss are refined by them)')).toBeVisible();
});

ownTest(
  'a gateway is seen on the rail; nonsense and silence are said as such and are never a reading; it may come again',
  async ({ page, shop }) => {
    const gateway = () => connect(shop.devicePort, '127.0.0.1');
    const line = (part: object) => `${JSON.stringify({ at: Date.now(), ...part })}\n`;
    const cap = (readoutC: number) =>
      line({ kind: 'press', device: 'cap-1', pressId: 'press-cap', setC: 150, readoutC, state: 'ready', leftS: null });
    await page.goto('/presses/press-cap/survey?platen=upper');
    const first = gateway();
    first.write(cap(148.9));
    const token = page.getByRole('complementary', { name: 'Rail' }).getByRole('listitem').filter({ hasText: 'Cap press' });
    await expect(token).toContainText('reads 300');
    first.write(line({ kind: 'probe', device: 'probe-9', readC: 151, steady: true }));
    const probe = page.locator('[data-device="probe-9"]');
    await expect(probe).toContainText('at rest');
    first.write('{"device":"probe-9","kind":"probe","readC":"hot"}\n');
    await expect(probe).toContainText('sends nonsense');
    await expect(probe.getByRole('button')).toHaveCount(0);
    first.write(line({ kind: 'probe', device: 'probe-9', readC: 152, steady: true }));
    await expect(probe).toContainText('at rest');
    first.destroy();
    await expect(probe).toContainText('says nothing');
    await expect(token).toContainText('readout silent');
    const second = gateway();
    second.write(line({ kind: 'probe', device: 'probe-9', readC: 153, steady: true }));
    await expect(probe).toContainText('at rest');
    second.destroy();
  },
);

ownTest('what a gun tells is kept at the press by its key, and from then on by two keys', async ({ page, shop }) => {
  const gateway = connect(shop.devicePort, '127.0.0.1');
  const told = { readC: 24, steady: false };
  const telling = setInterval(() => gateway.write(`${JSON.stringify({ kind: 'gun', device: 'gun-3', at: Date.now(), ...told })}\n`), 300);
  await page.goto('/orders/order-nebula/card');
  await start(page);
  await cue(page, /^Close to marry/);
  const readBy = page.getByRole('group', { name: 'Read by' });
  await page.keyboard.press('r');
  await expect(readBy.getByRole('button', { name: 'panel' })).toHaveAttribute('aria-pressed', 'true');
  // it was in the air, and comes to rest on the platen
  Object.assign(told, { readC: 153.5, steady: true });
  await expect(async () => {
    await page.keyboard.press('Escape');
    await page.keyboard.press('r');
    await page.keyboard.press('g');
    await expect(page.getByText('gun-3 shows 308 °F')).toBeVisible({ timeout: 2000 });
  }).toPass();
  await page.keyboard.press('Enter');
  await expect(readBy).toHaveCount(0);
  // it is the instrument of this device now: two keys
  await page.keyboard.press('r');
  await expect(readBy.getByRole('button', { name: 'gun' })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('Enter');
  await expect(readBy).toHaveCount(0);
  const { runs } = await (await page.request.get('/api/v1/rail')).json();
  const gun = { kind: 'read', by: 'gun', value: expect.closeTo(153.5, 0) };
  await expect
    .poll(async () => {
      const { events } = await (await page.request.get(`/api/v1/runs/${runs[0].runId}`)).json();
      return events.filter(({ kind }: { kind: string }) => kind === 'read');
    })
    .toEqual([expect.objectContaining(gun), expect.objectContaining(gun)]);
  clearInterval(telling);
  gateway.destroy();
});
