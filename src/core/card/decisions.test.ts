/** What an experienced operator would expect, case by case, in the trade's words. Built-in fabrics and families, a true press.
 * One table on purpose, long as it is: a rule is judged beside its neighbours. */
import { describe, expect, it } from 'vitest';
import { BUILT_IN_BLANKS, BUILT_IN_FABRICS, builtInProducts, type Fabric, type Product } from '../materials';
import type { Press } from '../press';
import { phraseText } from '../units';
import { type Choices, type House, type LampState, type ResolveInput, resolve, STARTING_HOUSE } from './index';

const PRODUCTS = Object.fromEntries(builtInProducts('2026-01-01').map((p) => [p.familyId, p]));
const FABRICS = Object.fromEntries(BUILT_IN_FABRICS.map((f) => [f.id, f]));

const PRESSES: Record<string, Press> = {
  true: {
    id: 'true',
    name: 'a true press',
    kind: 'draw',
    set: { unit: 'C', step: 1, minC: 60, maxC: 220 },
    calibration: { offsetK: 0, spreadK: 2, on: '2026-02-01', how: 'probe' },
    gauge: {
      kind: 'dial',
      pairs: [
        { reading: 1, contactKPa: 5 },
        { reading: 9, contactKPa: 60 },
      ],
    },
    platen: { widthMm: 400, heightMm: 500 },
    lowerHeated: false,
  },
};
const TRUE = PRESSES.true as Press;
PRESSES.hot = { ...TRUE, id: 'hot', calibration: { offsetK: 12, spreadK: 2, on: '2026-02-01', how: 'probe' } };
PRESSES.cold = { ...TRUE, id: 'cold', calibration: { offsetK: -9, spreadK: 2, on: '2026-02-01', how: 'probe' } };
PRESSES.uneven = { ...TRUE, id: 'uneven', calibration: { offsetK: 0, spreadK: 6, on: '2026-02-01', how: 'probe' } };
PRESSES.unmeasured = { ...TRUE, id: 'unmeasured', calibration: null };
PRESSES.fives = { ...TRUE, id: 'fives', set: { unit: 'F', step: 5, minC: 93, maxC: 220 } };
PRESSES.weak = { ...TRUE, id: 'weak', set: { unit: 'C', step: 1, minC: 60, maxC: 165 } };

interface Case {
  says: string;
  fabric: string;
  change?: Partial<Fabric>;
  transfer: 'cut-film' | 'stretch-film' | 'screen-printed';
  product?: Partial<Product>;
  press?: keyof typeof PRESSES;
  rules?: Partial<House['rules']>;
  choices?: Choices;
  lamp: LampState;
  /** Set value in °C, where the case is about it. */
  setC?: number;
  because?: RegExp;
}

const TABLE: Case[] = [
  { says: 'cut film on cotton sits in the middle of its window', fabric: 'cotton-jersey', transfer: 'cut-film', lamp: 'clear', setC: 152 },
  {
    says: 'stretch film on cotton sits in the middle of its window',
    fabric: 'cotton-jersey',
    transfer: 'stretch-film',
    lamp: 'clear',
    setC: 140,
  },
  {
    says: 'a hot-split transfer on cotton is what it is made for',
    fabric: 'cotton-jersey',
    transfer: 'screen-printed',
    lamp: 'clear',
    setC: 181,
  },
  { says: 'a hot-split transfer would scorch nobody’s canvas', fabric: 'canvas', transfer: 'screen-printed', lamp: 'clear', setC: 181 },
  {
    says: 'fleece: the polyester in it shines first, and the hot-split window is cut from above',
    fabric: 'fleece',
    transfer: 'screen-printed',
    lamp: 'clear',
    setC: 178,
  },
  {
    says: 'three fibres under a hot-split transfer: the rayon marks',
    fabric: 'three-fibre-jersey',
    transfer: 'screen-printed',
    lamp: 'hold',
    because: /viscose/,
  },
  { says: 'three fibres under stretch film', fabric: 'three-fibre-jersey', transfer: 'stretch-film', lamp: 'clear', setC: 140 },
  {
    says: 'three fibres under cut film: no room between sheet and rayon',
    fabric: 'three-fibre-jersey',
    transfer: 'cut-film',
    lamp: 'hold',
    because: /mark limit/,
  },
  {
    says: 'three fibres under cut film for its shortest time: the limit rises and it fits',
    fabric: 'three-fibre-jersey',
    transfer: 'cut-film',
    press: 'true',
    choices: { timeS: 8 },
    lamp: 'care',
    because: /to spare/,
  },
  {
    says: 'dyed polyester under cut film: the dye may move',
    fabric: 'polyester-jersey',
    transfer: 'cut-film',
    lamp: 'care',
    because: /Dye may bleed/,
  },
  {
    says: 'dyed polyester under stretch film, cool and short: the dye stays',
    fabric: 'polyester-jersey',
    transfer: 'stretch-film',
    lamp: 'clear',
  },
  {
    says: 'sublimation-dyed polyester bleeds earlier',
    fabric: 'polyester-jersey',
    change: { dyeRisk: 'sublimation-dyed' },
    transfer: 'stretch-film',
    lamp: 'care',
    because: /Dye/,
  },
  {
    says: 'polyester under a hot-split transfer: it shines, for there the limit lies inside the window’s spread',
    fabric: 'polyester-jersey',
    transfer: 'screen-printed',
    lamp: 'care',
    because: /Dye/,
  },
  {
    says: 'nylon of unknown finish: a test piece first',
    fabric: 'coated-nylon',
    transfer: 'stretch-film',
    lamp: 'care',
    because: /finish.*unknown/,
  },
  {
    says: 'nylon under a hot-split transfer is harmed',
    fabric: 'coated-nylon',
    transfer: 'screen-printed',
    lamp: 'hold',
    because: /nylon may/,
  },
  {
    says: 'repellent nylon refuses ordinary adhesive',
    fabric: 'coated-nylon',
    change: { coating: 'water-repellent' },
    transfer: 'stretch-film',
    lamp: 'hold',
    because: /ordinary adhesive will not hold/,
  },
  {
    says: 'repellent nylon takes a film made for it',
    fabric: 'coated-nylon',
    change: { coating: 'water-repellent' },
    transfer: 'stretch-film',
    product: { forCoated: true },
    lamp: 'clear',
  },
  {
    says: 'silicone-finished cloth refuses it too',
    fabric: 'cotton-jersey',
    change: { coating: 'silicone' },
    transfer: 'cut-film',
    lamp: 'hold',
    because: /silicone/,
  },
  {
    says: 'sports cloth with elastane wants stretch film',
    fabric: 'polyester-jersey',
    change: {
      composition: [
        { fibre: 'polyester', percent: 90 },
        { fibre: 'elastane', percent: 10 },
      ],
      dyeRisk: 'none',
    },
    transfer: 'cut-film',
    lamp: 'care',
    because: /stretches/,
  },
  {
    says: 'sports cloth with elastane under stretch film',
    fabric: 'polyester-jersey',
    change: {
      composition: [
        { fibre: 'polyester', percent: 90 },
        { fibre: 'elastane', percent: 10 },
      ],
      dyeRisk: 'none',
    },
    transfer: 'stretch-film',
    lamp: 'clear',
  },
  {
    says: 'acrylic knit marks under cut film',
    fabric: 'cotton-jersey',
    change: { composition: [{ fibre: 'acrylic', percent: 100 }] },
    transfer: 'cut-film',
    lamp: 'hold',
    because: /acrylic/,
  },
  {
    says: 'wool felts and marks under a hot-split transfer',
    fabric: 'cotton-jersey',
    change: { composition: [{ fibre: 'wool', percent: 100 }] },
    transfer: 'screen-printed',
    lamp: 'hold',
    because: /wool/,
  },
  {
    says: 'wool takes stretch film',
    fabric: 'cotton-jersey',
    change: { composition: [{ fibre: 'wool', percent: 100 }] },
    transfer: 'stretch-film',
    lamp: 'clear',
  },
  {
    says: 'non-woven polypropylene melts under everything here',
    fabric: 'cotton-jersey',
    change: { composition: [{ fibre: 'polypropylene', percent: 100 }] },
    transfer: 'stretch-film',
    lamp: 'hold',
    because: /polypropylene/,
  },
  {
    says: 'leather shrinks',
    fabric: 'cotton-jersey',
    change: { composition: [{ fibre: 'leather', percent: 100 }] },
    transfer: 'stretch-film',
    lamp: 'hold',
    because: /leather/,
  },
  {
    says: 'leather-look takes stretch film',
    fabric: 'cotton-jersey',
    change: { composition: [{ fibre: 'pu-leather', percent: 100 }] },
    transfer: 'stretch-film',
    lamp: 'clear',
  },
  {
    says: 'linen is as forgiving as cotton',
    fabric: 'cotton-jersey',
    change: { composition: [{ fibre: 'linen', percent: 100 }] },
    transfer: 'screen-printed',
    lamp: 'clear',
    setC: 181,
  },
  {
    says: '4 % of rayon in cotton sets nothing',
    fabric: 'cotton-jersey',
    change: {
      composition: [
        { fibre: 'cotton', percent: 96 },
        { fibre: 'viscose', percent: 4 },
      ],
    },
    transfer: 'screen-printed',
    lamp: 'clear',
    setC: 181,
  },
  {
    says: '6 % of rayon in cotton sets everything',
    fabric: 'cotton-jersey',
    change: {
      composition: [
        { fibre: 'cotton', percent: 94 },
        { fibre: 'viscose', percent: 6 },
      ],
    },
    transfer: 'screen-printed',
    lamp: 'hold',
    because: /viscose/,
  },
  {
    says: 'a press that runs 12 K hot is set 12 K lower',
    fabric: 'cotton-jersey',
    transfer: 'cut-film',
    press: 'hot',
    lamp: 'clear',
    setC: 140,
  },
  {
    says: 'a press that runs 9 K cold is set 9 K higher',
    fabric: 'cotton-jersey',
    transfer: 'cut-film',
    press: 'cold',
    lamp: 'clear',
    setC: 161,
  },
  {
    says: 'a press with a cold corner leaves a sliver',
    fabric: 'cotton-jersey',
    transfer: 'cut-film',
    press: 'uneven',
    lamp: 'care',
    because: /to spare/,
  },
  {
    says: 'a press with a cold corner serves a wider window',
    fabric: 'cotton-jersey',
    transfer: 'stretch-film',
    press: 'uneven',
    lamp: 'clear',
  },
  {
    says: 'an unmeasured press cannot promise a narrow window',
    fabric: 'cotton-jersey',
    transfer: 'cut-film',
    press: 'unmeasured',
    lamp: 'hold',
    because: /falls short|runs over/,
  },
  {
    says: 'an unmeasured press is never better than Care',
    fabric: 'cotton-jersey',
    transfer: 'stretch-film',
    press: 'unmeasured',
    lamp: 'care',
    because: /never measured/,
  },
  {
    says: 'a press set in fives of °F takes the best of them',
    fabric: 'cotton-jersey',
    transfer: 'stretch-film',
    press: 'fives',
    lamp: 'clear',
    setC: (285 - 32) / 1.8,
  },
  {
    says: 'a press that stops at 165 °C cannot do a hot split',
    fabric: 'cotton-jersey',
    transfer: 'screen-printed',
    press: 'weak',
    lamp: 'hold',
    setC: 165,
    because: /falls short/,
  },
  {
    says: 'a hand-set value at the edge of the sheet is Care',
    fabric: 'cotton-jersey',
    transfer: 'cut-film',
    choices: { setC: 157 },
    lamp: 'care',
    setC: 157,
    because: /Only/,
  },
  {
    says: 'a hand-set value past the sheet is Hold',
    fabric: 'cotton-jersey',
    transfer: 'cut-film',
    choices: { setC: 170 },
    lamp: 'hold',
    setC: 170,
    because: /runs over the sheet/,
  },
  {
    says: 'a hand-set value between two steps goes to the nearer',
    fabric: 'cotton-jersey',
    transfer: 'stretch-film',
    choices: { setC: 140.4 },
    lamp: 'clear',
    setC: 140,
  },
  {
    says: 'a time past the sheet is Hold',
    fabric: 'cotton-jersey',
    transfer: 'cut-film',
    choices: { timeS: 40 },
    lamp: 'hold',
    because: /outside the sheet/,
  },
  {
    says: 'a long pre-press marks what a short hot press would not',
    fabric: 'fleece',
    transfer: 'screen-printed',
    rules: { prePress: 'long' },
    lamp: 'care',
    because: /to spare/,
  },
  {
    says: 'a cover over the print is no fault where the sheet allows one',
    fabric: 'cotton-jersey',
    transfer: 'cut-film',
    rules: { coverWhenAllowed: 'always' },
    lamp: 'clear',
  },
  {
    says: 'a house that covers always does not cover what the sheet would have bare',
    fabric: 'cotton-jersey',
    transfer: 'screen-printed',
    rules: { coverWhenAllowed: 'always' },
    lamp: 'clear',
  },
];

const inputOf = (c: Case): ResolveInput => {
  const fabric = { ...(FABRICS[c.fabric] as Fabric), ...c.change };
  const blank = { ...(BUILT_IN_BLANKS[0] as ResolveInput['blank']), fabricId: fabric.id };
  const product = { ...(PRODUCTS[c.transfer] as Product), ...c.product };
  return {
    fabric,
    blank,
    product,
    press: PRESSES[c.press ?? 'true'] as Press,
    house: { ...STARTING_HOUSE, rules: { ...STARTING_HOUSE.rules, ...c.rules } },
    item: { size: 'M' },
    print: { position: 'full front', artName: 'star', widthMm: 250, heightMm: 300, productId: product.id, choices: c.choices ?? {} },
  };
};

describe('decisions', () => {
  it.each(TABLE)('$says', (c) => {
    const card = resolve(inputOf(c));
    const words = card.lamp.findings.map((f) => phraseText(f.says, STARTING_HOUSE.units)).join(' ');
    expect(card.lamp.state, words).toBe(c.lamp);
    if (c.setC !== undefined) expect(card.set.tempC).toBeCloseTo(c.setC, 6);
    if (c.because) expect(words).toMatch(c.because);
  });
  it('every card tells each of its values why', () => {
    for (const c of TABLE) {
      const fields = new Set(resolve(inputOf(c)).reasons.map((r) => r.field));
      for (const field of ['temperature', 'time', 'pressure', 'peel', 'cover', 'base', 'mirror', 'pre-press', 'finish'] as const)
        expect(fields).toContain(field);
    }
  });
});
