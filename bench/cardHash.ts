/** One hash of all cards of the decision table and of two thousand random shops: a change of the code that should change no card leaves it as it was. */
import { createHash } from 'node:crypto';
import fc from 'fast-check';
import { resolve } from '../src/core/card';
import { inputs } from '../test/shops';
import { inputOf } from '../test/trade/check';
import { CASES } from '../test/trade/table';

/** JSON with the keys of every object in alphabetical order: how an object was put together does not count. */
const plain = (value: unknown): string =>
  JSON.stringify(value, (_, entry) =>
    entry && typeof entry === 'object' && !Array.isArray(entry)
      ? Object.fromEntries(Object.entries(entry).sort(([a], [b]) => (a < b ? -1 : 1)))
      : entry,
  );
const hash = createHash('sha256');
const shops = fc.sample(inputs, { numRuns: 2000, seed: 15 });
for (const input of [...CASES.map(inputOf), ...shops]) hash.update(plain(resolve(input)));
console.log(`cards of ${CASES.length} cases and ${shops.length} random shops: ${hash.digest('hex')}`);
