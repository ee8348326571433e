/** What once gave way, for tests and benches that send it again. */

/** A heating time no press can have had: stored once, its press's page never came again. */
export const impossibleHeating = (id: string) => ({
  id,
  pressId: 'press-clamshell',
  kind: 'heating time',
  at: 1,
  by: '',
  note: '',
  fromC: 20,
  toC: 180,
  seconds: 30,
  roomC: 20,
});

/** A shop's file of orders with nothing in them. */
export const fileOfOrders = (count: number): string =>
  JSON.stringify({
    format: 'tidy-beacon shop',
    version: 2,
    orders: Array.from({ length: count }, (_, i) => ({
      id: `order-${i}`,
      name: 'x',
      customer: '',
      due: '2026-12-01',
      note: '',
      lines: [],
    })),
  });
