/** Every page at every width, by day and in the dark, at letters of 100 and 200 %: nothing scrolls sideways, is cut or overlapped, every target bears a finger, axe finds nothing serious. */

import { expect, Shop, test } from './shop';
import { walk } from './walk';

test.use({ hasTouch: true });

const PAGES = [
  '/',
  '/orders',
  '/orders/order-guide-tees',
  '/orders/order-guide-tees?line=new',
  '/orders/order-guide-tees?line=pick',
  '/orders/order-vests',
  '/orders/order-guide-tees/card',
  '/orders/order-members/card',
  '/orders/order-hoodies/card',
  '/orders/order-nebula/card',
  '/orders/order-guide-tees/place',
  '/orders/order-windbreakers/place',
  '/orders/order-guide-tees/record',
  '/orders/order-members/run',
  '/presses?on=press-clamshell',
  '/presses?on=press-clamshell&view=Pressure',
  '/presses?on=press-swing&view=Warm-up',
  '/presses?on=press-swing&view=Facts',
  '/presses?new=1',
  '/presses/press-clamshell/survey',
  '/shelf',
  '/shelf?kind=fabrics&on=fabric-heather',
  '/shelf?kind=blanks',
  '/shelf?kind=aids',
  '/shelf?kind=parcels',
  '/shelf?kind=tested',
  '/shelf/products/product-wren',
  '/shelf/blanks/blank-guide-tee',
  '/shelf/fabrics/new',
  '/shelf/parcels/new',
  '/shelf/which',
  '/shelf/matrix',
  '/heat-bench',
  '/heat-bench?practice=1',
  '/log',
  '/house',
  '/day-end',
  '/attic',
  '/first-hour',
  '/first-hour?step=press',
  '/words',
] as const;

const SHARES = 4;
for (let share = 0; share < SHARES; share++)
  test(`every page, share ${share + 1} of ${SHARES}`, async ({ page }) => {
    test.setTimeout(900_000);
    const walked = await walk(
      page,
      PAGES.filter((_, i) => i % SHARES === share),
    );
    console.log(`walk ${share + 1}: ${walked.looked} arrangements, ${walked.lines} lines of text`);
    expect(walked.faults).toEqual({});
    // it did look
    expect(walked.lines).toBeGreaterThan(20 * walked.looked);
  });

const LONG = 'Midsummer observatory volunteers’ night-sky evening (second)';
const UNBROKEN = 'Nachtwolkenbeobachtungsgesellschaftsvorstandsmitgliederhemd';

test('names of sixty letters, with and without spaces, and a bench of two hundred orders', async ({ page }) => {
  test.setTimeout(900_000);
  const at = '/api/v1';
  const send = async (path: string, body: object, ifMatch?: string) => {
    const headers = ifMatch ? { 'if-match': ifMatch } : {};
    const reply = await page.request.put(`${at}/${path}`, { data: body, headers });
    expect(reply.status(), await reply.text()).toBeLessThan(300);
  };
  const { order } = await (await page.request.get(`${at}/orders/order-vests`)).json();
  const shelf = await (await page.request.get(`${at}/shelf`)).json();
  const blank = shelf.blanks.find(({ id }: { id: string }) => id === order.lines[0].blankId);
  await send(`shelf/blanks/blank-long`, { ...blank, id: 'blank-long', name: UNBROKEN });
  const long = (id: string, name: string) => ({
    ...order,
    id,
    name,
    customer: LONG,
    lines: order.lines.map((line: { prints: object[] }) => ({
      ...line,
      blankId: 'blank-long',
      prints: line.prints.map((print) => ({ ...print, artName: LONG.slice(0, 40) })),
    })),
  });
  await send('orders/order-long', long('order-long', LONG));
  for (let i = 0; i < 190; i++)
    await send(`orders/order-many-${i}`, { ...order, id: `order-many-${i}`, name: i % 2 ? UNBROKEN : `Vests ${i}`, lines: [] });
  const walked = await walk(
    page,
    [
      '/',
      '/orders',
      '/orders/order-long',
      '/orders/order-long/card',
      '/orders/order-long/place',
      '/orders/order-long/record',
      '/shelf?kind=blanks&on=blank-long',
      '/shelf/blanks/blank-long',
    ],
    { withAxe: false },
  );
  expect(walked.faults).toEqual({});
});

test('a shop with nothing in it', async ({ page }) => {
  test.setTimeout(600_000);
  const empty = await Shop.open({ demo: false });
  try {
    const paths = [
      '/',
      '/orders',
      '/presses',
      '/shelf',
      '/shelf?kind=parcels',
      '/shelf/which',
      '/shelf/matrix',
      '/heat-bench',
      '/log',
      '/house',
      '/day-end',
      '/first-hour',
    ];
    const walked = await walk(
      page,
      paths.map((path) => empty.address + path),
    );
    expect(walked.faults).toEqual({});
  } finally {
    await empty.close();
  }
});
