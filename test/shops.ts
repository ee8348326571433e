/** Random shops for property tests: fabrics, products, presses and houses over their whole valid range. */
import fc from 'fast-check';
import { type House, type ResolveInput, STARTING_HOUSE } from '../src/core/card';
import { type Blank, type Composition, type Fabric, FIBRE_IDS, type Product } from '../src/core/materials';
import type { Press } from '../src/core/press';

const composition: fc.Arbitrary<Composition> = fc
  .uniqueArray(fc.constantFrom(...FIBRE_IDS), { minLength: 1, maxLength: 4 })
  .chain((fibres) =>
    fc.array(fc.integer({ min: 1, max: 20 }), { minLength: fibres.length, maxLength: fibres.length }).map((weights) => {
      const total = weights.reduce((a, b) => a + b, 0);
      return fibres.map((fibre, i) => ({ fibre, percent: (100 * (weights[i] ?? 1)) / total }));
    }),
  );

const fabrics: fc.Arbitrary<Fabric> = fc.record({
  id: fc.constant('cloth'),
  name: fc.constant('cloth'),
  composition,
  construction: fc.constantFrom('knit', 'woven'),
  texture: fc.constantFrom('smooth', 'ribbed', 'fleece', 'canvas'),
  massGsm: fc.integer({ min: 60, max: 500 }),
  thicknessMm: fc.double({ min: 0.08, max: 3, noNaN: true }),
  stretchPercent: fc.constantFrom(0, 10, 60),
  coating: fc.constantFrom('none', 'none', 'none', 'silicone', 'unknown'),
  dyeRisk: fc.constantFrom('none', 'none', 'dyed-polyester', 'sublimation-dyed'),
  thermal: fc.record({
    k: fc.double({ min: 0.04, max: 0.2, noNaN: true }),
    rho: fc.integer({ min: 150, max: 1200 }),
    c: fc.integer({ min: 1000, max: 1800 }),
  }),
});

const range = (low: number, high: number, widest: number) =>
  fc.tuple(fc.integer({ min: low, max: high }), fc.integer({ min: 0, max: widest })).map(([min, width]) => ({ min, max: min + width }));

export const products: fc.Arbitrary<Product> = fc.record({
  id: fc.constantFrom('wren', 'flint', 'plover', 'schist'),
  name: fc.constant('a film'),
  maker: fc.constant('a maker'),
  familyId: fc.constantFrom('cut-film', 'stretch-film', 'screen-printed'),
  press: fc.record({
    tempC: range(95, 185, 25),
    timeS: range(3, 20, 15),
    pressure: fc.record({ asStated: fc.constant('medium'), band: fc.constantFrom('light', 'medium', 'firm') }),
  }),
  peel: fc.constantFrom('hot', 'warm', 'cold'),
  cover: fc.constantFrom('required', 'allowed', 'avoid'),
  base: fc.constantFrom('any', 'firm'),
  faceDown: fc.boolean(),
  mirroredBySupplier: fc.boolean(),
  stretches: fc.boolean(),
  forCoated: fc.boolean(),
  fibresAllowed: fc.constant([]),
  filmMm: fc.constant(0.09),
  carrier: fc.constantFrom('film', 'paper'),
  pricePerSheetMinor: fc.integer({ min: 0, max: 900 }),
  source: fc.constant({ sheet: 'sheet', on: '2026-01-01' }),
  care: fc.constant(''),
});

export const presses: fc.Arbitrary<Press> = fc.record({
  id: fc.constantFrom('one', 'two', 'three'),
  name: fc.constant('a press'),
  kind: fc.constantFrom('clamshell', 'swing-away'),
  set: fc.record({
    unit: fc.constantFrom('C', 'F'),
    step: fc.constantFrom(1, 2, 5),
    minC: fc.integer({ min: 30, max: 90 }),
    maxC: fc.integer({ min: 150, max: 225 }),
  }),
  calibration: fc.option(
    fc.record({
      offsetK: fc.integer({ min: -15, max: 15 }),
      spreadK: fc.double({ min: 0, max: 12, noNaN: true }),
      on: fc.constant('2026-01-01'),
      how: fc.constant('probe'),
    }),
    { nil: null, freq: 6 },
  ),
  gauge: fc.constant({
    kind: 'dial' as const,
    pairs: [
      { reading: 1, contactKPa: 5 },
      { reading: 9, contactKPa: 60 },
    ],
  }),
  platen: fc.constant({ widthMm: 400, heightMm: 500 }),
  lowerHeated: fc.boolean(),
});

const houses: fc.Arbitrary<House> = fc.record({
  units: fc.constant(STARTING_HOUSE.units),
  rules: fc.record({
    coverWhenAllowed: fc.constantFrom('always', 'never'),
    secondPress: fc.constantFrom('always', 'when an edge looks proud'),
    prePress: fc.constantFrom('short', 'long'),
    loading: fc.constantFrom('threaded', 'flat'),
  }),
  room: fc.record({ tempC: fc.integer({ min: 5, max: 35 }), humidityPercent: fc.integer({ min: 10, max: 90 }) }),
});

const blanks: fc.Arbitrary<Blank> = fc.record({
  id: fc.constant('tee'),
  name: fc.constant('tee'),
  kind: fc.constant('tee' as const),
  fabricId: fc.constant('cloth'),
  colour: fc.constant('grey'),
  shade: fc.constantFrom('light', 'dark'),
  sizes: fc.constant(['M']),
});

const choices = fc.record({ timeS: fc.integer({ min: 3, max: 20 }), cover: fc.boolean() }, { requiredKeys: [] });

export const inputs: fc.Arbitrary<ResolveInput> = fc.record({
  print: fc.record({
    position: fc.constant('full front' as const),
    artName: fc.constant('star'),
    widthMm: fc.constantFrom(90, 250, 390),
    heightMm: fc.constant(300),
    productId: fc.constant('wren'),
    choices: fc.oneof({ weight: 3, arbitrary: fc.constant({}) }, choices),
  }),
  item: fc.constant({ size: 'M' }),
  blank: blanks,
  fabric: fabrics,
  product: products,
  press: presses,
  house: houses,
});
