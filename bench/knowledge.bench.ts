/**
 * Presses drawn, surveyed by gun, strip and probe or not at all: how many of the everyday jobs are Clear, Care and Hold with each, and
 * whether more knowledge is ever worse on the whole. Run by `npx tsx bench/knowledge.bench.ts`; `PRESSES=1000`.
 */
import { prepared, type ResolveInput } from '../src/core/draft';
import { judge, LAW, type LampState } from '../src/core/judgement';
import { type Instrument, platenMap } from '../src/core/press';
import { AS_STATED, drawn } from '../test/drawnPresses';
import { EVERYDAY, inputFor } from '../test/everyday';
import { Chance, PLATEN } from '../test/platens';

const PRESSES = Number(process.env.PRESSES ?? 100);
/** Jobs on the flat press, every fifth of them. */
const jobs = EVERYDAY.filter(({ press, choices }) => !press && !choices).filter((_, i) => i % 5 === 0);
const HOW: Record<string, Instrument | null> = {
  'not at all': null,
  'an infrared gun': { kind: 'infrared', emissivitySet: 0.9 },
  'pressed strips': { kind: 'strip', stepK: 6 },
  'a contact probe': { kind: 'probe' },
};
const RANK: Record<LampState, number> = { clear: 0, care: 1, hold: 2 };

const means: number[] = [];
for (const [name, instrument] of Object.entries(HOW)) {
  const chance = new Chance(17);
  const count: Record<LampState, number> = { clear: 0, care: 0, hold: 0 };
  const sound = { sum: 0, n: 0 };
  for (let n = 0; n < (instrument ? PRESSES : 1); n++) {
    const { survey } = drawn(chance, AS_STATED, instrument, 'five');
    for (const job of jobs) {
      const input = inputFor(job, null);
      const first = judge(prepared(input), LAW).set.tempC;
      const maps: ResolveInput['maps'] = survey
        ? [
            platenMap(
              {
                ...survey,
                pressId: input.press.id,
                readings: survey.readings.map((one) => ({ ...one, setC: first, readC: first + one.readC - one.setC })),
              },
              PLATEN,
              '2026-03-01',
            ),
          ]
        : [];
      const { lamp, soundChance } = judge(prepared({ ...input, maps }), LAW);
      count[lamp.state]++;
      sound.sum += soundChance;
      sound.n++;
    }
  }
  const all = count.clear + count.care + count.hold;
  const share = (state: LampState) => `${((100 * count[state]) / all).toFixed(1)} %`;
  const mean = (count.care * RANK.care + count.hold * RANK.hold) / all;
  means.push(mean);
  console.log(
    `measured by ${name}: Clear ${share('clear')}, Care ${share('care')}, Hold ${share('hold')}; mean ${mean.toFixed(3)}, sound ${((100 * sound.sum) / sound.n).toFixed(1)} %`,
  );
}
const [none = 0, gun = 0, ...contact] = means;
const worse = gun > none || contact.some((mean) => mean > gun);
console.log(worse ? 'WORSE with more knowledge' : 'a gun is no worse than nothing, what touches the platen no worse than a gun');
