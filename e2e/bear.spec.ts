/** What a server must bear: a tenth of the requests of bench/bear.bench.ts, over every route. */
import { bear } from '../bench/bear';
import { expect, ownTest, test } from './shop';

ownTest('malformed and extreme requests over every route: no server error, no hang, nothing half saved', async ({ shop }) => {
  test.setTimeout(600_000);
  const { wrong, steps, answers } = await bear(shop, 1500, 200, 14);
  expect(wrong).toEqual([]);
  expect(answers['2']).toBeGreaterThan(100);
  expect(steps.length).toBeGreaterThan(10);
});
