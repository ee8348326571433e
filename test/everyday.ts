/** Everyday jobs, as they come out well every day, and jobs a master refuses: what a lamp must tell apart. */
import type { Card } from '../src/core/card';
import { resolve } from '../src/core/card';
import type { ResolveInput } from '../src/core/draft';
import { at, type Figure, type Product } from '../src/core/sheet';
import type { LampState } from '../src/core/window';
import { type Case, inputOf } from './trade/check';

export type Job = Pick<Case, 'on' | 'with' | 'blank' | 'fabric' | 'print' | 'choices' | 'press'>;
type Cloth = NonNullable<Job['fabric']>;

const WHITE = { shade: 'light', colour: 'white' } as const;
const UNDYED = { dyeRisk: 'none' } as const;
const HALF = {
  composition: [
    { fibre: 'cotton', percent: 50 },
    { fibre: 'polyester', percent: 50 },
  ],
} satisfies Cloth;
const MOSTLY_POLYESTER = {
  composition: [
    { fibre: 'polyester', percent: 65 },
    { fibre: 'cotton', percent: 35 },
  ],
} satisfies Cloth;
const WITH_ELASTANE = {
  composition: [
    { fibre: 'cotton', percent: 95 },
    { fibre: 'elastane', percent: 5 },
  ],
  stretchPercent: 30,
} satisfies Cloth;
const BACK = { position: 'full back', widthMm: 260, heightMm: 300 } as const;
const NUMBER = { position: 'full back', widthMm: 180, heightMm: 220 } as const;

/** Sixty; every other one has a sheet of single figures. */
export const EVERYDAY: readonly Job[] = [
  { on: 'cotton-tee', with: 'cut-film' },
  { on: 'cotton-tee', with: 'cut-film', print: BACK },
  { on: 'youth-cotton-tee', with: 'cut-film' },
  { on: 'fleece-hoodie', with: 'cut-film' },
  { on: 'canvas-tote', with: 'cut-film' },
  { on: 'canvas-apron', with: 'cut-film' },
  { on: 'wooden-tag', with: 'cut-film' },
  { on: 'polyester-tee', with: 'cut-film', blank: WHITE, fabric: UNDYED },
  { on: 'cotton-tee', with: 'cut-film', print: NUMBER },
  { on: 'cotton-tee', with: 'cut-film', blank: { fabricId: 'linen' } },
  { on: 'three-fibre-tee', with: 'stretch-film' },
  { on: 'three-fibre-tee', with: 'stretch-film', print: BACK },
  { on: 'polyester-tee', with: 'stretch-film', blank: WHITE, fabric: UNDYED },
  { on: 'sport-shorts', with: 'stretch-film', blank: WHITE, fabric: UNDYED, choices: { platenId: 'small' } },
  { on: 'cotton-tee', with: 'stretch-film' },
  { on: 'cotton-tee', with: 'stretch-film', fabric: WITH_ELASTANE },
  { on: 'cotton-tee', with: 'stretch-film', fabric: MOSTLY_POLYESTER },
  { on: 'cotton-tee', with: 'textured-film' },
  { on: 'cotton-tee', with: 'textured-film', print: NUMBER },
  { on: 'canvas-tote', with: 'textured-film' },
  { on: 'cotton-tee', with: 'high-build-film' },
  { on: 'cotton-tee', with: 'print-and-cut-film' },
  { on: 'canvas-tote', with: 'print-and-cut-film' },
  { on: 'cotton-tee', with: 'print-and-cut-film', fabric: HALF },
  { on: 'cotton-tee', with: 'film-printed' },
  { on: 'cotton-tee', with: 'film-printed', print: BACK },
  { on: 'fleece-hoodie', with: 'film-printed' },
  { on: 'cotton-tee', with: 'film-printed', fabric: HALF },
  { on: 'canvas-tote', with: 'film-printed' },
  { on: 'polyester-tee', with: 'film-printed', blank: WHITE, fabric: UNDYED },
  { on: 'cotton-tee', with: 'screen-printed' },
  { on: 'cotton-tee', with: 'screen-printed', print: BACK },
  { on: 'youth-cotton-tee', with: 'screen-printed' },
  { on: 'canvas-tote', with: 'screen-printed' },
  { on: 'canvas-apron', with: 'screen-printed' },
  { on: 'polyester-tee', with: 'low-cure-screen-printed', blank: WHITE, fabric: UNDYED },
  { on: 'cotton-tee', with: 'low-cure-screen-printed' },
  { on: 'cotton-tee', with: 'low-cure-screen-printed', fabric: HALF },
  { on: 'cotton-tee', with: 'raised-screen-printed' },
  { on: 'canvas-tote', with: 'one-sheet-laser-paper' },
  { on: 'cotton-tee', with: 'one-sheet-laser-paper', blank: WHITE },
  { on: 'cotton-tee', with: 'two-sheet-toner' },
  { on: 'fleece-hoodie', with: 'two-sheet-toner' },
  { on: 'canvas-tote', with: 'two-sheet-toner' },
  { on: 'cotton-tee', with: 'two-sheet-toner', fabric: HALF },
  { on: 'cotton-tee', with: 'two-sheet-colour' },
  { on: 'canvas-apron', with: 'two-sheet-colour' },
  { on: 'cotton-tee', with: 'opaque-inkjet-paper' },
  { on: 'canvas-tote', with: 'opaque-inkjet-paper' },
  { on: 'polyester-tee', with: 'dye-paper', blank: WHITE, fabric: UNDYED },
  { on: 'dye-tile', with: 'dye-paper' },
  { on: 'dye-panel', with: 'dye-paper' },
  { on: 'wooden-tag', with: 'hard-paper-porous' },
  { on: 'cork-coaster', with: 'hard-paper-porous' },
  { on: 'greeting-card', with: 'hard-paper-porous' },
  { on: 'cloth-journal', with: 'hard-paper-porous' },
  { on: 'glass-coaster', with: 'hard-paper-smooth' },
  { on: 'ceramic-tile', with: 'hard-paper-smooth' },
  { on: 'canvas-cap', with: 'heat-glued-patch', press: 'cap', print: { widthMm: 60, heightMm: 40 } },
  { on: 'cotton-tee', with: 'stones' },
];

const SILICONE = { coating: 'silicone' } as const;
const DYED = { dyeRisk: 'sublimation-dyed' } as const;

/** Twenty-five, each with what a master would say. */
export const REFUSED: readonly (Job & { because: RegExp })[] = [
  { on: 'nylon-jacket', with: 'cut-film', fabric: SILICONE, because: /silicone/i },
  { on: 'nylon-jacket', with: 'film-printed', fabric: SILICONE, because: /silicone/i },
  { on: 'polyester-tee', with: 'screen-printed', because: /dye/i },
  { on: 'polyester-tee', with: 'low-cure-screen-printed', fabric: DYED, because: /dye/i },
  { on: 'polyester-tee', with: 'screen-printed', fabric: DYED, because: /dye/i },
  { on: 'cotton-tee', with: 'screen-printed', blank: { fabricId: 'acrylic-knit' }, because: /acrylic/i },
  { on: 'cotton-tee', with: 'two-sheet-toner', blank: { fabricId: 'acrylic-knit' }, because: /acrylic/i },
  { on: 'cotton-tee', with: 'textured-film', blank: { fabricId: 'acrylic-knit' }, because: /acrylic/i },
  { on: 'canvas-tote', with: 'cut-film', blank: { fabricId: 'non-woven' }, because: /polypropylene/i },
  { on: 'canvas-tote', with: 'screen-printed', blank: { fabricId: 'non-woven' }, because: /polypropylene/i },
  { on: 'canvas-tote', with: 'one-sheet-laser-paper', blank: { fabricId: 'non-woven' }, because: /polypropylene/i },
  { on: 'three-fibre-tee', with: 'screen-printed', because: /viscose/i },
  { on: 'three-fibre-tee', with: 'opaque-inkjet-paper', because: /viscose/i },
  { on: 'three-fibre-tee', with: 'textured-film', because: /viscose/i },
  { on: 'cotton-tee', with: 'screen-printed', blank: { fabricId: 'wool-felt' }, because: /wool/i },
  { on: 'cotton-tee', with: 'opaque-inkjet-paper', blank: { fabricId: 'wool-felt' }, because: /wool/i },
  { on: 'cotton-tee', with: 'dye-paper', blank: WHITE, because: /polyester|dye/i },
  { on: 'polyester-tee', with: 'dye-paper', because: /dark|light/i },
  { on: 'cotton-tee', with: 'one-sheet-laser-paper', because: /dark|light/i },
  { on: 'glass-coaster', with: 'cut-film', because: /glass|sink/i },
  { on: 'glass-coaster', with: 'dye-paper', because: /glass|dye/i },
  { on: 'canvas-tote', with: 'cut-film', blank: { fabricId: 'vinyl' }, because: /vinyl/i },
  { on: 'acrylic-block', with: 'hard-paper-smooth', blank: { fabricId: 'extruded-acrylic' }, because: /extruded/i },
  { on: 'cotton-tee', with: 'screen-printed', press: 'weak', because: /cool|reach/i },
  { on: 'cotton-tee', with: 'two-sheet-toner', blank: { fabricId: 'leather' }, because: /leather/i },
];

const middle = (figure: Figure | undefined): Figure | undefined =>
  figure?.form === 'range' ? at(Math.round((figure.min + figure.max) / 2)) : figure;

/** The same sheet as suppliers write most: one figure each. */
const single = (product: Product): Product => ({
  ...product,
  stages: product.stages.map(({ tempC, timeS, ...stage }) => {
    const entry = middle(tempC);
    return { ...stage, ...(entry && { tempC: entry }), timeS: middle(timeS) ?? timeS };
  }),
});

/** How well the press is known: ±K over the art in 95 %, or never measured. */
export type Known = 2 | 5 | null;

/** What the card of a job on a press known so well is worked out from. */
export function inputFor(job: Job, known: Known, isSingle = false): ResolveInput {
  const input = inputOf({ says: `${job.with} on ${job.on}`, ...job });
  const calibration = known === null ? null : { offsetK: 0, spreadK: known, on: '2026-02-01', how: 'probe' };
  return {
    ...input,
    product: isSingle ? single(input.product) : input.product,
    press: { ...input.press, calibration },
  };
}

export const cardOf = (job: Job, known: Known, isSingle: boolean): Card => resolve(inputFor(job, known, isSingle));

/** How many of the everyday jobs have each lamp. */
export function everyday(known: Known): Record<LampState, number> & { cards: { job: Job; card: Card }[] } {
  const cards = EVERYDAY.map((job, i) => ({ job, card: cardOf(job, known, i % 2 === 1) }));
  const count = (state: LampState) => cards.filter(({ card }) => card.lamp.state === state).length;
  return { clear: count('clear'), care: count('care'), hold: count('hold'), cards };
}
