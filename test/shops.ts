/** Random shops for property tests: fabrics, blanks, products of every family, layers, presses and houses over their whole valid range. */
import fc from 'fast-check';
import type { ResolveInput } from '../src/core/draft';
import { type House, STARTING_HOUSE } from '../src/core/house';
import {
  type Aid,
  BLANK_KINDS,
  type Blank,
  BUILT_IN_AIDS,
  BUILT_IN_BLANKS,
  BUILT_IN_FABRICS,
  COATINGS,
  type Composition,
  type Fabric,
  FIBRE_IDS,
  isHard,
  usualPosition,
} from '../src/core/materials';
import type { Print, PrintLayer } from '../src/core/order';
import type { Press } from '../src/core/press';
import { between, builtInProducts, FAMILY_IDS, type Product } from '../src/core/sheet';

const composition: fc.Arbitrary<Composition> = fc
  .uniqueArray(fc.constantFrom(...FIBRE_IDS), { minLength: 1, maxLength: 4 })
  .chain((fibres) =>
    fc.array(fc.integer({ min: 1, max: 20 }), { minLength: fibres.length, maxLength: fibres.length }).map((weights) => {
      const total = weights.reduce((a, b) => a + b, 0);
      return fibres.map((fibre, i) => ({ fibre, percent: (100 * (weights[i] ?? 1)) / total }));
    }),
  );

const cloths: fc.Arbitrary<Fabric> = fc.record({
  id: fc.constant('cloth'),
  name: fc.constant('cloth'),
  substrate: fc.constant('cloth' as const),
  composition,
  construction: fc.constantFrom('knit', 'woven'),
  texture: fc.constantFrom('smooth', 'ribbed', 'slubby', 'fleece', 'canvas'),
  massGsm: fc.integer({ min: 60, max: 500 }),
  thicknessMm: fc.double({ min: 0.08, max: 3, noNaN: true }),
  stretchPercent: fc.constantFrom(0, 10, 60),
  coating: fc.constantFrom('none', 'none', 'none', 'none', ...COATINGS),
  dyeRisk: fc.constantFrom('none', 'none', 'dyed-polyester', 'sublimation-dyed'),
  clear: fc.constant(false),
  thermal: fc.record({
    k: fc.double({ min: 0.04, max: 0.2, noNaN: true }),
    rho: fc.integer({ min: 150, max: 1200 }),
    c: fc.integer({ min: 1000, max: 1800 }),
  }),
});
const fabrics = fc.oneof({ weight: 5, arbitrary: cloths }, { weight: 2, arbitrary: fc.constantFrom(...BUILT_IN_FABRICS) });

const range = (low: number, high: number, widest: number) =>
  fc.tuple(fc.integer({ min: low, max: high }), fc.integer({ min: 0, max: widest })).map(([min, width]) => between(min, min + width));

/** Films of the three families an order is most often of, over the whole range of sheets. */
const films: fc.Arbitrary<Product> = fc
  .record({
    id: fc.constantFrom('wren', 'flint', 'plover', 'schist'),
    familyId: fc.constantFrom('cut-film' as const, 'stretch-film' as const, 'screen-printed' as const),
    tempC: range(95, 185, 25),
    timeS: range(3, 20, 15),
    band: fc.constantFrom('light' as const, 'medium' as const, 'firm' as const),
    peel: fc.constantFrom('hot' as const, 'warm' as const, 'cold' as const),
    cover: fc.constantFrom('required' as const, 'allowed' as const, 'avoid' as const),
    base: fc.constantFrom('any' as const, 'firm' as const),
    facing: fc.constantFrom('face down' as const, 'face up' as const),
    stretches: fc.boolean(),
    price: fc.integer({ min: 0, max: 900 }),
    alternative: fc.option(range(95, 140, 20), { nil: null, freq: 4 }),
  })
  .map(({ tempC, timeS, band, peel, cover, price, alternative, familyId, ...rest }) => {
    const general = builtInProducts('2026-01-01').find((product) => product.familyId === familyId) as Product;
    return {
      ...general,
      ...rest,
      stages: [
        {
          kind: 'press' as const,
          tempC,
          timeS,
          pressure: { asStated: band, band },
          cover,
          coverKind: 'ptfe' as const,
          peel,
          timer: 1 as const,
        },
      ],
      alternatives: alternative ? [{ name: 'low heat', changes: [{ stage: 'press' as const, tempC: alternative }] }] : [],
      pricePerSheetMinor: price,
    };
  });

/** The general product of any family. */
const general: fc.Arbitrary<Product> = fc
  .constantFrom(...FAMILY_IDS)
  .map((id) => builtInProducts('2026-01-01').find((product) => product.familyId === id) as Product);
export const products: fc.Arbitrary<Product> = fc.oneof({ weight: 3, arbitrary: films }, { weight: 2, arbitrary: general });

export const presses: fc.Arbitrary<Press> = fc.record({
  id: fc.constantFrom('one', 'two', 'three'),
  name: fc.constant('a press'),
  kind: fc.constantFrom('clamshell', 'swing-away', 'swing-away', 'draw', 'cap', 'iron'),
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
  swapPlatens: fc.constantFrom([], [{ id: 'small', name: 'small platen', widthMm: 150, heightMm: 150 }]),
  lower: fc.option(
    fc.record({
      minC: fc.constant(60),
      maxC: fc.constant(210),
      offsetK: fc.integer({ min: -6, max: 6 }),
      spreadK: fc.integer({ min: 0, max: 5 }),
    }),
    {
      nil: null,
      freq: 2,
    },
  ),
  timers: fc.constantFrom(1, 2),
  opensItself: fc.boolean(),
});

const houses: fc.Arbitrary<House> = fc.record({
  units: fc.constant(STARTING_HOUSE.units),
  rules: fc.record({
    coverWhenAllowed: fc.constantFrom('always', 'never'),
    secondPress: fc.constantFrom('always', 'when an edge looks proud'),
    obstruction: fc.constantFrom('pillow', 'raise', 'hang off'),
    loading: fc.constantFrom('threaded', 'flat', 'turned'),
    // two shops in three go by their own seconds
    prePress: fc.constantFrom('seconds', 'seconds', 'computed'),
    centre: fc.constantFrom('crease', 'ruler', 'eye'),
    drop: fc.constantFrom('fingers', 'ruler', 'tall art'),
    unmeasured: fc.constantFrom('widen', 'bump'),
    layers: fc.constantFrom('tack', 'full'),
    batch: fc.constantFrom('piece', 'step'),
    felt: fc.constantFrom('protect', 'leave out'),
    insideMark: fc.constantFrom('care', 'accept'),
    coolsOn: fc.constantFrom('table', 'air', 'rack', 'base'),
  }),
  figures: fc.constant(STARTING_HOUSE.figures),
  operators: fc.constant([]),
  room: fc.record({ tempC: fc.integer({ min: 5, max: 35 }), humidityPercent: fc.integer({ min: 10, max: 90 }) }),
});

const cloth = BUILT_IN_BLANKS[0] as Blank;
const blanks: fc.Arbitrary<Blank> = fc
  .record({
    kind: fc.constantFrom(...BLANK_KINDS, 'tee' as const, 'tee' as const, 'tee' as const, 'tee' as const),
    shade: fc.constantFrom('light' as const, 'dark' as const),
    lined: fc.boolean(),
    thicknessMm: fc.option(fc.constantFrom(1, 4, 8, 15), { nil: undefined, freq: 2 }),
    thicknessSpreadMm: fc.constantFrom(0, 0, 0.1, 0.5),
    lookedAt: fc.constantFrom('the printed side' as const, 'the printed side' as const, 'through the blank' as const),
    duty: fc.constantFrom('laundered' as const, 'handled' as const, 'looked at' as const),
    zip: fc.constantFrom(0, 0, 0, 4, 9),
  })
  .map(({ zip, thicknessMm, ...rest }) => ({
    ...cloth,
    ...rest,
    ...(thicknessMm !== undefined && { thicknessMm }),
    obstructions: zip > 0 ? [{ kind: 'zip' as const, heightMm: zip, at: [usualPosition(rest.kind)] }] : [],
    sizes: ['M'],
  }));

const choices = fc.record(
  {
    timeS: fc.integer({ min: 3, max: 20 }),
    cover: fc.boolean(),
    heat: fc.constant('split' as const),
    base: fc.constantFrom('pillow' as const, 'firm pad' as const),
  },
  { requiredKeys: [] },
);

const aids: fc.Arbitrary<readonly Aid[]> = fc.constantFrom(
  BUILT_IN_AIDS,
  BUILT_IN_AIDS,
  BUILT_IN_AIDS.map((aid) => ({ ...aid, wear: 'spent' as const })),
  [],
);

interface Parts {
  widthMm: number;
  choices: { timeS?: number; cover?: boolean; heat?: 'split'; base?: 'pillow' | 'firm pad' };
  blank: Blank;
  fabric: Fabric;
  product: Product;
  under: readonly Product[];
  press: Press;
  house: House;
  aids: readonly Aid[];
  perClosing: number;
  flags: Pick<Print, 'embossed' | 'looseParts' | 'smallType' | 'crossesSeam'>;
}

function inputFrom({ widthMm, choices: chosen, under, perClosing, flags, ...rest }: Parts): ResolveInput {
  const lower = under.map((product, i) => ({ ...product, id: `${product.id}-${i}` }));
  const layers: PrintLayer[] = lower.map((product, i) => ({ key: `u${i}`, productId: product.id, over: i === 0 ? [] : [`u${i - 1}`] }));
  return {
    ...rest,
    under: lower,
    print: {
      key: 'a',
      position: usualPosition(rest.blank.kind),
      artName: 'star',
      artKind: rest.product.artKinds[0] ?? 'one colour',
      widthMm,
      heightMm: Math.min(300, widthMm),
      layers: [...layers, { key: 'top', productId: rest.product.id, over: layers.map((layer) => layer.key) }],
      ...flags,
      pressId: rest.press.id,
      choices: chosen,
    },
    item: { size: 'M', roster: [], perClosing, together: [], before: [] },
  };
}

const PLAIN = { embossed: false, looseParts: false, smallType: false, crossesSeam: false };

/** Whatever may be typed in, sensible or not. */
const wild: fc.Arbitrary<ResolveInput> = fc
  .record({
    widthMm: fc.constantFrom(90, 250, 390),
    choices: fc.oneof({ weight: 2, arbitrary: fc.constant({}) }, choices),
    blank: blanks,
    fabric: fabrics,
    product: products,
    under: fc.oneof(
      { weight: 3, arbitrary: fc.constant([]) },
      { weight: 1, arbitrary: fc.array(products, { minLength: 1, maxLength: 2 }) },
    ),
    press: presses,
    house: houses,
    aids,
    perClosing: fc.constantFrom(1, 1, 4),
    flags: fc.record({ embossed: fc.boolean(), looseParts: fc.boolean(), smallType: fc.boolean(), crossesSeam: fc.boolean() }),
  })
  .map(inputFrom);

/** A product that is made for the material, on a blank and a press that suit them: what most orders are. A finish is rare among them. */
const likely: fc.Arbitrary<ResolveInput> = fc.tuple(fabrics, fc.constantFrom(true, true, true, false)).chain(([any, bare]) => {
  const fabric: Fabric = bare ? { ...any, coating: 'none' } : any;
  const hard = isHard(fabric);
  const made = builtInProducts('2026-01-01').filter((product) => product.substrates.includes(fabric.substrate));
  const suited = fabric.substrate === 'cloth' ? fc.oneof(films, fc.constantFrom(...made)) : fc.constantFrom(...made);
  return fc
    .record({
      product: suited,
      blank: blanks,
      press: presses,
      house: houses,
      under: fc.oneof({ weight: 9, arbitrary: fc.constant([]) }, { weight: 1, arbitrary: fc.array(films, { minLength: 1, maxLength: 1 }) }),
      choices: fc.oneof({ weight: 5, arbitrary: fc.constant({}) }, fc.record({ heat: fc.constant('split' as const) })),
    })
    .map(({ product, blank, press, house, under, choices: chosen }) =>
      inputFrom({
        widthMm: 90,
        choices: press.lower ? chosen : {},
        product,
        under,
        fabric,
        house,
        press: {
          ...press,
          kind: 'swing-away',
          calibration: press.calibration && { ...press.calibration, spreadK: press.calibration.spreadK / 4 },
        },
        blank: {
          ...blank,
          kind: hard ? 'panel' : 'tee',
          obstructions: [],
          lined: false,
          lookedAt: 'the printed side',
          shade: product.shades === 'any' ? blank.shade : product.shades,
          duty: product.duties[0] ?? 'handled',
        },
        aids: BUILT_IN_AIDS,
        perClosing: 1,
        flags: PLAIN,
      }),
    );
});

/** One print of one line of a shop. */
export const inputs: fc.Arbitrary<ResolveInput> = fc.oneof({ weight: 3, arbitrary: likely }, { weight: 2, arbitrary: wild });
/** One print on cloth, without anything that settles the set value otherwise. */
export const plainCloth: fc.Arbitrary<ResolveInput> = likely.filter(
  (input) => input.fabric.substrate === 'cloth' && input.under.length === 0 && !input.print.choices.heat,
);
