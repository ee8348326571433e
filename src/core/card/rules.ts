/** The rules beside temperature, as data: what each looks at, how far it lowers the lamp, and its reason. */
import { describeComposition, FIBRES, LEAST_SHARE_PERCENT } from '../materials';
import { pressOffset, pressureSetting } from '../press';
import { mm, type Phrase, phrase, seconds, tempDiff } from '../units';
import type { ResolveInput } from './input';
import type { Field, Finding } from './schema';

/** Art plus this much all round must lie on the heated platen, mm. */
const HEATED_MARGIN_MM = 10;
/** Cloth that gives more than this wants a film that gives with it, %. */
const STRETCHY_PERCENT = 30;

export interface Rule {
  id: string;
  field: Field;
  level: 'hold' | 'care';
  /** The reason when the rule is met, or null. */
  met: (input: ResolveInput) => Phrase | null;
}

const when = (met: boolean, says: () => Phrase): Phrase | null => (met ? says() : null);
const share = (input: ResolveInput) => input.fabric.composition.filter((part) => part.percent >= LEAST_SHARE_PERCENT);

export const RULES: readonly Rule[] = [
  {
    id: 'press-unmeasured',
    field: 'temperature',
    level: 'care',
    met: ({ press }) =>
      when(
        !pressOffset(press).measured,
        () =>
          phrase`${press.name} was never measured, so its surface is taken to be off by up to ${tempDiff(pressOffset(press).spreadK)} either way. Measure corners and centre.`,
      ),
  },
  {
    id: 'pressure-guessed',
    field: 'pressure',
    level: 'care',
    met: ({ press, product }) =>
      when(
        pressureSetting(press, product.press.pressure.band).sure === 'guess',
        () => phrase`The pressure of ${press.name} was never tied to a figure: try paper slips at the four corners first.`,
      ),
  },
  {
    id: 'pressure-beyond',
    field: 'pressure',
    level: 'care',
    met: ({ press, product }) =>
      when(
        pressureSetting(press, product.press.pressure.band).sure === 'beyond the measured pairs',
        () => phrase`${product.press.pressure.band} pressure lies beyond what was measured on ${press.name}.`,
      ),
  },
  {
    id: 'coating-refuses',
    field: 'art',
    level: 'hold',
    met: ({ fabric, product }) =>
      when(
        ['water-repellent', 'silicone', 'back-coated'].includes(fabric.coating) && !product.forCoated,
        () =>
          phrase`${fabric.name} is ${fabric.coating}: ordinary adhesive will not hold on it. Only a product made for coated cloth may go on.`,
      ),
  },
  {
    id: 'coating-unknown',
    field: 'art',
    level: 'care',
    met: ({ fabric, product }) =>
      when(
        fabric.coating === 'unknown' && !product.forCoated,
        () => phrase`The finish of ${fabric.name} is unknown: press a test piece and pull at it before the first good one.`,
      ),
  },
  {
    id: 'fibre-not-on-sheet',
    field: 'art',
    level: 'hold',
    met: (input) => {
      const { product } = input;
      const left = share(input).filter((part) => !product.fibresAllowed.includes(part.fibre));
      return when(
        product.fibresAllowed.length > 0 && left.length > 0,
        () => phrase`The sheet of ${product.name} does not name ${left.map((part) => FIBRES[part.fibre].name).join(' or ')}.`,
      );
    },
  },
  {
    id: 'stretch-wants-stretch',
    field: 'art',
    level: 'care',
    met: (input) => {
      const elastic = share(input).some((part) => part.fibre === 'elastane') || input.fabric.stretchPercent > STRETCHY_PERCENT;
      return when(
        elastic && !input.product.stretches,
        () =>
          phrase`${input.fabric.name} stretches (${describeComposition(input.fabric.composition)}) and ${input.product.name} does not: it may crack in wear.`,
      );
    },
  },
  {
    id: 'cover-avoided',
    field: 'cover',
    level: 'hold',
    met: ({ print, product }) =>
      when(
        print.choices.cover === true && product.cover === 'avoid',
        () => phrase`The sheet of ${product.name} says no cover, and one was chosen.`,
      ),
  },
  {
    id: 'cover-required',
    field: 'cover',
    level: 'hold',
    met: ({ print, product }) =>
      when(
        print.choices.cover === false && product.cover === 'required',
        () => phrase`The sheet of ${product.name} asks for a cover, and none was chosen.`,
      ),
  },
  {
    id: 'time-off-sheet',
    field: 'time',
    level: 'hold',
    met: ({ print, product }) => {
      const { timeS } = print.choices;
      const { min, max } = product.press.timeS;
      return when(
        timeS !== undefined && (timeS < min || timeS > max),
        () => phrase`${seconds(timeS ?? 0)} lies outside the sheet’s ${seconds(min)} to ${seconds(max)}.`,
      );
    },
  },
  {
    id: 'art-off-platen',
    field: 'art',
    level: 'hold',
    met: ({ print, press }) => {
      const need = [print.widthMm, print.heightMm].map((side) => side + 2 * HEATED_MARGIN_MM).sort((a, b) => a - b);
      const have = [press.platen.widthMm, press.platen.heightMm].sort((a, b) => a - b);
      const over = (need[0] ?? 0) > (have[0] ?? 0) || (need[1] ?? 0) > (have[1] ?? 0);
      return when(
        over,
        () =>
          phrase`The art with ${mm(HEATED_MARGIN_MM)} all round is larger than the platen of ${press.name} (${mm(press.platen.widthMm)} by ${mm(press.platen.heightMm)}).`,
      );
    },
  },
  {
    id: 'size-unknown',
    field: 'art',
    level: 'hold',
    met: ({ item, blank }) =>
      when(
        !blank.sizes.includes(item.size),
        () => phrase`${blank.name} does not come in ${item.size}: it comes in ${blank.sizes.join(', ')}.`,
      ),
  },
];

/** Every rule the input meets, in the order of the table. */
export function ruleFindings(input: ResolveInput): Finding[] {
  return RULES.flatMap(({ id, field, level, met }) => {
    const says = met(input);
    return says ? [{ rule: id, field, level, says }] : [];
  });
}
