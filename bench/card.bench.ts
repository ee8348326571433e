/** How long a card takes to work out, over random shops, with and without its ways out. Run by `npm run bench`. */
import fc from 'fast-check';
import { waysOut, whichTransfer } from '../src/core/advice';
import { resolve } from '../src/core/card';
import { STARTING_HOUSE } from '../src/core/house';
import { BUILT_IN_AIDS, BUILT_IN_BLANKS, BUILT_IN_FABRICS } from '../src/core/materials';
import { inputs, presses, products } from '../test/shops';

const median = (times: number[]) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;

function time(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

const shops = fc.sample(inputs, { numRuns: 3000, seed: 7 });
const shelf = {
  products: fc.sample(products, { numRuns: 6, seed: 7 }).map((p, i) => ({ ...p, id: `p${i}` })),
  presses: fc.sample(presses, { numRuns: 3, seed: 7 }).map((p, i) => ({ ...p, id: `q${i}` })),
};
for (const input of shops.slice(0, 500)) resolve(input);

const firsts = shops.map((input) => time(() => resolve(input)));
const again = shops.map((input) => {
  resolve(input);
  return time(() => resolve(input));
});
console.log(`card over the whole shelf, never asked before, median: ${median(firsts).toFixed(3)} ms (wanted: at most 25)`);
console.log(`card over the whole shelf, asked again, median: ${median(again).toFixed(3)} ms (wanted: at most 3)`);
const held = shops.map((input) => ({ input, card: resolve(input) })).filter(({ card }) => card.lamp.state === 'hold');
console.log(
  `ways out of a Hold over 6 products and 3 presses, median: ${median(held.map(({ input, card }) => time(() => waysOut(input, card, shelf)))).toFixed(3)} ms`,
);

const two = fc.sample(products, { numRuns: 200, seed: 11 }).map((product, i) => ({ ...product, id: `p${i}` }));
const three = fc.sample(presses, { numRuns: 3, seed: 11 }).map((press, i) => ({ ...press, id: `q${i}` }));
const asks = BUILT_IN_BLANKS.flatMap((blank) => {
  const fabric = BUILT_IN_FABRICS.find((fabric) => fabric.id === blank.fabricId);
  return fabric
    ? [
        {
          blank,
          fabric,
          shade: blank.shade,
          size: blank.sizes[0] ?? '',
          artKind: 'full colour' as const,
          widthMm: 90,
          heightMm: 90,
          count: 12,
          duty: blank.duty,
        },
      ]
    : [];
});
const rank = (wish: (typeof asks)[number]) =>
  whichTransfer(wish, { products: two, presses: three, house: STARTING_HOUSE, aids: BUILT_IN_AIDS });
for (const wish of asks) rank(wish);
console.log(
  `which transfer over 200 products and 3 presses, median of ${asks.length} blanks: ${median(asks.map((wish) => time(() => rank(wish)))).toFixed(1)} ms (wanted: at most 200)`,
);
