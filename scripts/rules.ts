/** Takes every rule of the trade out, one by one, and says which case of the decision table then fails. Ends with 1 when one is not guarded. */
import { removeEach } from '../test/trade/removeEach';
import { CASES } from '../test/trade/table';

const removals = removeEach();
for (const { part, id, caught } of removals)
  console.log(`${part.padEnd(10)} ${id.padEnd(32)} ${caught === null ? 'NOT GUARDED' : `caught: ${caught}`}`);
const open = removals.filter((one) => one.caught === null).length;
console.log(`${CASES.length} cases, ${removals.length} rules taken out one by one, ${open} not guarded`);
process.exit(open === 0 ? 0 : 1);
