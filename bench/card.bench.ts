/** How long a card takes to work out, over random shops, with and without its ways out. Run by `npm run bench`. */
import fc from 'fast-check';
import { resolve, waysOut } from '../src/core/card';
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

console.log(`card, median: ${median(shops.map((input) => time(() => resolve(input)))).toFixed(3)} ms (wanted: at most 2)`);
const held = shops.map((input) => ({ input, card: resolve(input) })).filter(({ card }) => card.lamp.state === 'hold');
console.log(
  `ways out of a Hold over 6 products and 3 presses, median: ${median(held.map(({ input, card }) => time(() => waysOut(input, card, shelf)))).toFixed(3)} ms`,
);
