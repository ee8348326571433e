/** 15,000 malformed and 2,000 extreme requests over every route: no server error, no hang, nothing half saved, and steps of a run meanwhile. */
import { Shop } from '../e2e/shop';
import { bear, percentile } from './bear';

const shop = await Shop.open();
const seed = Number(process.env.SEED ?? 14);
const begun = performance.now();
const { sent, answers, wrong, steps, slowest } = await bear(
  shop,
  Number(process.env.MALFORMED ?? 15_000),
  Number(process.env.EXTREME ?? 2000),
  seed,
);
const ms = (share: number) => percentile(steps, share).toFixed(0);
console.log(
  `${sent} requests in ${((performance.now() - begun) / 1000).toFixed(0)} s from seed ${seed}: answers ${JSON.stringify(answers)}, ${wrong.length} wrong`,
);
for (const entry of wrong.slice(0, 40)) console.log(`  ${entry}`);
console.log(
  `steps of a run meanwhile (${steps.length}): p50 ${ms(0.5)}, p95 ${ms(0.95)}, p99 ${ms(0.99)} ms (wanted: at most 250), most ${ms(1)}; slowest request ${slowest}`,
);
await shop.close();
