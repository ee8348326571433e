/**
 * A press drawn, surveyed by gun, strip and probe or not at all: the lamps of the demo shop's open orders side by side, and whether
 * more knowledge is ever worse on the whole. Run by `npx tsx bench/knowledge.bench.ts`; `PRESSES=1000`.
 */
import { readFileSync } from 'node:fs';
import { prepared, type ResolveInput } from '../src/core/draft';
import { judge, LAW } from '../src/core/judgement';
import { type Instrument, platenMap } from '../src/core/press';
import type { LampState } from '../src/core/window';
import { inputOf } from '../src/server/stores/cards';
import { AS_STATED, drawn } from '../test/drawnPresses';
import { Chance, PLATEN } from '../test/platens';

const PRESSES = Number(process.env.PRESSES ?? 100);
const HOW: Record<string, Instrument | null> = {
  'not at all': null,
  'an infrared gun': { kind: 'infrared', emissivitySet: 0.9 },
  'pressed strips': { kind: 'strip', stepK: 6 },
  'a contact probe': { kind: 'probe' },
};
const RANK: Record<LampState, number> = { clear: 0, care: 1, hold: 2 };
/** Surveys are made at this setting, °C. */
const AT_C = 150;

const demo = (name: string) => JSON.parse(readFileSync(`demo/${name}.json`, 'utf8'));
const facts = {
  fabrics: demo('fabrics'),
  blanks: demo('blanks'),
  products: demo('products'),
  aids: demo('aids'),
  // as large as the platens that are drawn, and measured by nobody
  presses: demo('presses').map((press: object) => ({ ...press, platen: PLATEN, calibration: null })),
  house: demo('house'),
  maps: [],
  slips: [],
  checks: [],
  learned: [],
  tested: [],
};
const prints: { name: string; input: ResolveInput }[] = demo('orders')
  .filter(({ removed }: { removed?: boolean }) => !removed)
  .flatMap((order: Parameters<typeof inputOf>[1] & { name: string }) =>
    order.lines.flatMap((line) => line.prints.map((print) => ({ name: order.name, input: inputOf(facts, order, line, print) }))),
  )
  .filter(({ input }: { input: ResolveInput }) => input.press.kind !== 'cap' && !input.print.choices.platenId);

type Count = Record<LampState, number>;
const means: number[] = [];
const table = prints.map(() => [] as string[]);
for (const [name, instrument] of Object.entries(HOW)) {
  const chance = new Chance(17);
  const counts = prints.map((): Count => ({ clear: 0, care: 0, hold: 0 }));
  const presses = instrument ? PRESSES : 1;
  for (let n = 0; n < presses; n++) {
    const { survey } = drawn(chance, AS_STATED, instrument, 'five');
    const map =
      survey &&
      platenMap(
        { ...survey, readings: survey.readings.map((reading) => ({ ...reading, setC: AT_C, readC: AT_C + reading.readC - reading.setC })) },
        PLATEN,
        '2026-03-01',
      );
    prints.forEach(({ input }, i) => {
      const maps = map ? [{ ...map, pressId: input.press.id }] : [];
      const count = counts[i];
      if (count) count[judge(prepared({ ...input, maps }), LAW).lamp.state]++;
    });
  }
  counts.forEach(({ clear, care, hold }, i) => {
    const percent = (of: number) => Math.round((100 * of) / presses);
    table[i]?.push(`${percent(clear)}/${percent(care)}/${percent(hold)}`);
  });
  const all = counts.reduce((sum, { care, hold }) => sum + care * RANK.care + hold * RANK.hold, 0) / presses / prints.length;
  means.push(all);
  console.log(`measured by ${name}: mean lamp ${all.toFixed(3)} (0 Clear, 1 Care, 2 Hold)`);
}
console.log('Clear/Care/Hold in 100, by', Object.keys(HOW).join(', '));
prints.forEach(({ name, input }, i) => {
  console.log(`  ${name}, ${input.product.name}: ${table[i]?.join('  ')}`);
});
const [none = 0, gun = 0, ...contact] = means;
const worse = gun > none || contact.some((mean) => mean > gun);
console.log(worse ? 'WORSE with more knowledge' : 'a gun is no worse than nothing, what touches the platen no worse than a gun');
