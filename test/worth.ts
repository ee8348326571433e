/** What a survey proves to be worth: drawn shops whose presses are drawn, surveyed with errors and judged again, over and over. */
import { MEASURINGS, type Measuring, worthOf } from '../src/core/advice';
import { prepared, type ResolveInput } from '../src/core/draft';
import { judge, LAW } from '../src/core/judgement';
import { type Plan, platenMap } from '../src/core/press';
import { AS_STATED, drawn } from './drawnPresses';
import { EVERYDAY, inputFor } from './everyday';
import { Chance, PLATEN } from './platens';

export interface DrawnShop {
  open: { input: ResolveInput; pieces: number }[];
  measuring: Measuring & { plan: Plan };
  seed: number;
}

/** A quick check tells nothing of a press nobody surveyed. */
const SURVEYS = MEASURINGS.flatMap(({ plan, ...rest }) => (plan === 'check' ? [] : [{ plan, ...rest }]));

/** Shops of one or two everyday prints on a press nobody measured, and a survey they could make. */
export function shopsToMeasure(many: number): DrawnShop[] {
  const chance = new Chance(61);
  const flat = EVERYDAY.filter(({ press, choices }) => press === undefined && choices === undefined);
  return Array.from({ length: many }, (_, n) => ({
    open: Array.from({ length: 1 + (n % 2) }, () => ({ input: inputFor(chance.pick(flat), null), pieces: 1 })),
    measuring: chance.pick(SURVEYS),
    seed: 100 + n,
  }));
}

/** Pieces spoiled of the open work, as judged with what is known of the press. */
const spoiledOf = ({ open }: DrawnShop, maps: ResolveInput['maps']): number =>
  open.reduce((sum, { input, pieces }) => sum + pieces * (1 - judge(prepared({ ...input, ...(maps && { maps }) }), LAW).soundChance), 0);

/** What was reckoned of the shop's survey, what it came to over many drawn presses, and the standard error of that. */
export function outcomeBySimulation(shop: DrawnShop, draws: number) {
  const chance = new Chance(shop.seed);
  const { plan, instrument } = shop.measuring;
  const [worth] = worthOf(shop.open, [shop.measuring]);
  const now = spoiledOf(shop, undefined);
  const sets = shop.open.map(({ input }) => judge(prepared(input), LAW).set.tempC);
  const refC = Math.round(sets.reduce((sum, set) => sum + set, 0) / sets.length);
  const saved = Array.from({ length: draws }, () => {
    const { survey } = drawn(chance, AS_STATED, instrument, plan);
    if (!survey) throw new TypeError('a survey was asked for');
    const pressId = shop.open[0]?.input.press.id ?? '';
    // read at the setting the press is used at
    const readings = survey.readings.map((reading) => ({ ...reading, setC: refC, readC: refC + reading.readC - reading.setC }));
    return now - spoiledOf(shop, [platenMap({ ...survey, pressId, readings }, PLATEN, '2026-03-01')]);
  });
  const simulated = saved.reduce((sum, entry) => sum + entry, 0) / draws;
  const se = Math.sqrt(saved.reduce((sum, entry) => sum + (entry - simulated) ** 2, 0) / draws / draws);
  const name = `${plan} places by ${instrument.kind}; ${shop.open.map(({ input }) => `${input.product.familyId} on ${input.blank.id}`).join(', ')}`;
  return { reckoned: worth?.saved ?? 0, simulated, se, name };
}
