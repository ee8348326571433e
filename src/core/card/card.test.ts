import { describe, expect, it } from 'vitest';
import { type Blank, FAMILIES, type Fabric, type FamilyId, type Product } from '../materials';
import type { Press } from '../press';
import { phraseText, UNITS } from '../units';
import { type House, lampAt, type Print, RULES, resolve, STARTING_HOUSE, waysOut } from './index';

const jersey = { k: 0.07, rho: 450, c: 1340 };
const fabric = (change: Partial<Fabric> = {}): Fabric => ({
  id: 'cotton',
  name: 'cotton jersey',
  composition: [{ fibre: 'cotton', percent: 100 }],
  construction: 'knit',
  texture: 'smooth',
  massGsm: 180,
  thicknessMm: 0.4,
  stretchPercent: 15,
  coating: 'none',
  dyeRisk: 'none',
  thermal: jersey,
  ...change,
});
const blend = fabric({
  id: 'blend',
  name: 'heather blend',
  composition: [
    { fibre: 'polyester', percent: 50 },
    { fibre: 'cotton', percent: 25 },
    { fibre: 'viscose', percent: 25 },
  ],
});
const tee: Blank = {
  id: 'tee',
  name: 'guide tee',
  kind: 'tee',
  fabricId: 'cotton',
  colour: 'slate',
  shade: 'dark',
  sizes: ['S', 'M', 'L'],
};

const product = (familyId: FamilyId, change: Partial<Product> = {}): Product => {
  const { press, peel, cover, base, faceDown, mirroredBySupplier, stretches, care } = FAMILIES[familyId];
  return {
    id: familyId,
    name: `a ${familyId}`,
    maker: 'Plover',
    familyId,
    press: { tempC: press.tempC, timeS: press.timeS, pressure: { asStated: press.pressure, band: press.pressure } },
    peel,
    cover,
    base,
    faceDown,
    mirroredBySupplier,
    stretches,
    care,
    forCoated: false,
    fibresAllowed: [],
    filmMm: 0.09,
    carrier: 'film',
    pricePerSheetMinor: 300,
    source: { sheet: 'sheet', on: '2026-01-01' },
    ...change,
  };
};
const press = (change: Partial<Press> = {}): Press => ({
  id: 'swing',
  name: 'Swing-away',
  kind: 'swing-away',
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
  lowerHeated: true,
  ...change,
});
const house = (rules: Partial<House['rules']> = {}): House => ({ ...STARTING_HOUSE, rules: { ...STARTING_HOUSE.rules, ...rules } });
const print = (change: Partial<Print> = {}): Print => ({
  position: 'full front',
  artName: 'star',
  widthMm: 250,
  heightMm: 300,
  productId: 'x',
  choices: {},
  ...change,
});
const input = (change: Partial<Parameters<typeof resolve>[0]> = {}) => ({
  print: print(),
  item: { size: 'M' },
  blank: tee,
  fabric: fabric(),
  product: product('cut-film'),
  press: press(),
  house: house(),
  ...change,
});
const says = (findings: { says: Parameters<typeof phraseText>[0] }[]) =>
  findings.map((f) => phraseText(f.says, STARTING_HOUSE.units)).join(' ');

describe('the set value', () => {
  it('a true press in the middle of a cut film’s window on cotton is Clear', () => {
    const card = resolve(input());
    expect(card.set).toMatchObject({ timeS: 12, cover: null, mirror: 'mirrored', peel: 'warm', byHand: false });
    expect([152, 153]).toContain(card.set.tempC);
    expect(card.lamp).toEqual({ state: 'clear', findings: [] });
    expect(card.smallestMarginK).toBeCloseTo(5, 0);
  });
  it('a press that runs 6 K hot is set 6 K lower', () => {
    const hot = resolve(input({ press: press({ calibration: { offsetK: 6, spreadK: 2, on: '2026-02-01', how: 'probe' } }) }));
    expect(hot.set.tempC).toBe(resolve(input()).set.tempC - 6);
    expect(hot.delivered.midC).toBe(resolve(input()).delivered.midC);
  });
  it('a Fahrenheit press in fives is set to a value it can show', () => {
    const card = resolve(input({ press: press({ set: { unit: 'F', step: 5, minC: 90, maxC: 220 } }) }));
    const shown = (card.set.tempC / UNITS.C.size) * 1.8 + 32;
    expect(Math.abs(shown - 305)).toBeLessThan(1e-9);
  });
  it('a rayon blend is held under a hot-split screen-printed transfer, and stretch film is a way out', () => {
    const held = input({ fabric: blend, product: product('screen-printed') });
    const card = resolve(held);
    expect(card.lamp.state).toBe('hold');
    expect(says(card.lamp.findings)).toMatch(/viscose.*may shine or yellow/);
    const ways = waysOut(held, card, { products: [product('stretch-film'), product('cut-film')], presses: [press()] });
    expect(ways[0]).toMatchObject({ change: { productId: 'stretch-film' }, lamp: 'clear' });
  });
  it('with nothing else on the shelf that Hold has no way out', () => {
    const held = input({ fabric: blend, product: product('screen-printed') });
    expect(waysOut(held, resolve(held), { products: [held.product], presses: [held.press] })).toEqual([]);
  });
  it('3 % of viscose does not set the limits, 5 % does', () => {
    const of = (percent: number) =>
      fabric({
        composition: [
          { fibre: 'cotton', percent: 100 - percent },
          { fibre: 'viscose', percent },
        ],
      });
    const hot = { product: product('screen-printed') };
    expect(resolve(input({ ...hot, fabric: of(3) })).lamp.state).not.toBe('hold');
    expect(resolve(input({ ...hot, fabric: of(5) })).lamp.state).toBe('hold');
  });
  it('the owner’s own test on a blank replaces the fibre figures', () => {
    const tested: Blank = { ...tee, tested: { markC: 190, damageC: 200, on: '2026-03-01', how: 'strip test' } };
    expect(resolve(input({ fabric: blend, product: product('screen-printed'), blank: tested })).lamp.state).not.toBe('hold');
  });
  it('a long pre-press counts against a short hot press', () => {
    const wall = (rules: Partial<House['rules']>) =>
      resolve(input({ fabric: blend, product: product('screen-printed'), house: house(rules) })).window.bounds.find(
        (b) => b.side === 'mark',
      )?.surfaceC ?? 0;
    expect(wall({ prePress: 'long' })).toBeLessThan(wall({ prePress: 'short' }));
  });
  it('a value set by hand is judged where it stands', () => {
    const card = resolve(input({ print: print({ choices: { setC: 158 } }) }));
    expect(card.set).toMatchObject({ tempC: 158, byHand: true });
    expect(card.lamp.state).toBe('care');
    expect(lampAt(resolve(input()), 161).state).toBe('hold');
    expect(says(lampAt(resolve(input()), 161).findings)).toMatch(/runs over the sheet, by 3\D/);
  });
  it('a press that cannot reach the sheet is held, and says by how much it falls short', () => {
    const card = resolve(input({ press: press({ set: { unit: 'C', step: 1, minC: 60, maxC: 120 } }) }));
    expect(card.set.tempC).toBe(120);
    expect(says(card.lamp.findings)).toMatch(/falls short of the sheet, by 27/);
  });
  it('dyed polyester under a lighter print is Care when the dye may move, not Hold', () => {
    const dyed = fabric({ composition: [{ fibre: 'polyester', percent: 100 }], dyeRisk: 'sublimation-dyed' });
    const card = resolve(input({ fabric: dyed }));
    expect(card.lamp.state).toBe('care');
    expect(says(card.lamp.findings)).toMatch(/Dye may bleed/);
    expect(resolve(input({ fabric: dyed, blank: { ...tee, shade: 'light' } })).lamp.state).toBe('clear');
  });
});

describe('cover, mirror, second press', () => {
  it('the house covers where the sheet allows it; the sheet’s own word beats the house', () => {
    const cover = (use: Product['cover'], rule: House['rules']['coverWhenAllowed']) =>
      resolve(input({ product: product('cut-film', { cover: use }), house: house({ coverWhenAllowed: rule }) })).set.cover;
    expect([cover('allowed', 'always'), cover('allowed', 'never'), cover('required', 'never'), cover('avoid', 'always')]).toEqual([
      'ptfe',
      null,
      'ptfe',
      null,
    ]);
  });
  it('a cover shields the bare face, so the mark wall stands higher', () => {
    const wall = (rule: House['rules']['coverWhenAllowed']) =>
      resolve(input({ fabric: blend, house: house({ coverWhenAllowed: rule }) })).window.bounds.find((b) => b.side === 'mark')?.surfaceC ??
      0;
    expect(wall('always')).toBeGreaterThan(wall('never') + 1);
  });
  it('face down is mirrored, face up is as read, a bought sheet is done by the supplier', () => {
    const mirror = (change: Partial<Product>) => resolve(input({ product: product('cut-film', change) })).set.mirror;
    expect([mirror({}), mirror({ faceDown: false }), mirror({ mirroredBySupplier: true })]).toEqual([
      'mirrored',
      'as read',
      'by the supplier',
    ]);
  });
  it('stages run in order, and each stack shows what is new', () => {
    const card = resolve(input({ house: house({ secondPress: 'always', coverWhenAllowed: 'always' }) }));
    expect(card.stages.map((s) => s.kind)).toEqual(['load', 'pre-press', 'place', 'press', 'wait', 'peel', 'finish', 'inspect']);
    const pressing = card.stages[3]?.stack;
    expect(pressing?.map((l) => l.role)).toEqual(['upper platen', 'cover', 'carrier', 'transfer', 'fabric', 'pad', 'lower platen']);
    expect(pressing?.filter((l) => l.fresh).map((l) => l.role)).toEqual(['cover']);
    expect(resolve(input({ product: product('screen-printed') })).stages.map((s) => s.kind)).not.toContain('wait');
  });
  it('safety stands at the step where the harm is', () => {
    const steps = resolve(input()).steps.map((s) => phraseText(s.safety ?? [], STARTING_HOUSE.units));
    expect(steps.filter((s) => s.includes('Steam'))).toHaveLength(1);
    expect(steps.filter((s) => s.includes('hands clear')).length).toBeGreaterThanOrEqual(2);
  });
});

describe('each rule lowers the lamp, and only when it is met', () => {
  const silicone = fabric({ coating: 'silicone' });
  const cases: Record<string, { met: Parameters<typeof input>[0]; not: Parameters<typeof input>[0] }> = {
    'press-unmeasured': { met: { press: press({ calibration: null }) }, not: {} },
    'pressure-guessed': { met: { press: press({ gauge: { kind: 'none' } }) }, not: {} },
    'pressure-beyond': {
      met: {
        press: press({
          gauge: {
            kind: 'dial',
            pairs: [
              { reading: 1, contactKPa: 5 },
              { reading: 3, contactKPa: 12 },
            ],
          },
        }),
      },
      not: {},
    },
    'coating-refuses': { met: { fabric: silicone }, not: { fabric: silicone, product: product('cut-film', { forCoated: true }) } },
    'coating-unknown': { met: { fabric: fabric({ coating: 'unknown' }) }, not: { fabric: fabric() } },
    'fibre-not-on-sheet': {
      met: { product: product('cut-film', { fibresAllowed: ['polyester'] }) },
      not: { product: product('cut-film', { fibresAllowed: ['cotton'] }) },
    },
    'stretch-wants-stretch': {
      met: { fabric: fabric({ stretchPercent: 60 }) },
      not: { fabric: fabric({ stretchPercent: 60 }), product: product('stretch-film') },
    },
    'cover-avoided': {
      met: { product: product('screen-printed'), print: print({ choices: { cover: true } }) },
      not: { print: print({ choices: { cover: true } }) },
    },
    'cover-required': {
      met: { product: product('cut-film', { cover: 'required' }), print: print({ choices: { cover: false } }) },
      not: { print: print({ choices: { cover: false } }) },
    },
    'time-off-sheet': { met: { print: print({ choices: { timeS: 30 } }) }, not: { print: print({ choices: { timeS: 9 } }) } },
    'art-off-platen': { met: { print: print({ widthMm: 390, heightMm: 390 }) }, not: { print: print({ widthMm: 480, heightMm: 380 }) } },
    'size-unknown': { met: { item: { size: '9XL' } }, not: { item: { size: 'L' } } },
  };
  it('covers every rule there is', () => expect(Object.keys(cases).sort()).toEqual(RULES.map((r) => r.id).sort()));
  it.each(RULES.map((rule) => [rule.id, rule] as const))('%s', (id, rule) => {
    const { met, not } = cases[id] ?? { met: {}, not: {} };
    const card = resolve(input(met));
    const finding = card.lamp.findings.find((f) => f.rule === id);
    expect(finding).toMatchObject({ level: rule.level, field: rule.field });
    expect(card.lamp.state === 'hold' || rule.level === 'care').toBe(true);
    expect(resolve(input(not)).lamp.findings.map((f) => f.rule)).not.toContain(id);
  });
});
