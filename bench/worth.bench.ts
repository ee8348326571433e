/**
 * What measuring is worth, reckoned beforehand against what it proves to be worth: fifty drawn shops, each press drawn, surveyed
 * with the errors of its instrument and judged again some hundreds of times. Run by `npx tsx bench/worth.bench.ts`.
 */
import { outcomeBySimulation, shopsToMeasure } from '../test/worth';

const SHOPS = Number(process.env.SHOPS ?? 50);
const DRAWS = Number(process.env.DRAWS ?? 400);
let bad = 0;
for (const [i, shop] of shopsToMeasure(SHOPS).entries()) {
  const { reckoned, simulated, se, name } = outcomeBySimulation(shop, DRAWS);
  const off = Math.abs(reckoned - simulated);
  const holds = off <= Math.max(0.02, 0.1 * Math.abs(simulated));
  if (!holds) bad++;
  console.log(
    `${holds ? ' ' : '!'} shop ${i + 1}: reckoned ${reckoned.toFixed(3)}, simulated ${simulated.toFixed(3)} ± ${se.toFixed(3)} prints, ${name}`,
  );
}
console.log(`${SHOPS - bad} of ${SHOPS} within 10 % or 0.02 prints`);
