/** Runs one case of the decision table: a piece in the trade's words, worked out, and held against what a practitioner expects. */
import { type Card, resolve, TRADE, type Trade } from '../../src/core/card';
import type { ResolveInput } from '../../src/core/draft';
import { type House, type HouseSetting, type SettingOf, STARTING_HOUSE } from '../../src/core/house';
import {
  type Aid,
  type Blank,
  BUILT_IN_AIDS,
  BUILT_IN_BLANKS,
  BUILT_IN_FABRICS,
  type Fabric,
  usualPosition,
} from '../../src/core/materials';
import type { Choices, Print } from '../../src/core/order';
import { PLANS, type PlatenMap, type Press, platenMap, readPaperPull } from '../../src/core/press';
import { builtInProducts, type FamilyId, type Product, type Tested } from '../../src/core/sheet';
import { phraseText } from '../../src/core/units';
import type { LampState } from '../../src/core/window';

const PRODUCTS = Object.fromEntries(builtInProducts('2026-01-01').map((product) => [product.familyId, product])) as Record<
  FamilyId,
  Product
>;

const TRUE: Press = {
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
  swapPlatens: [{ id: 'small', name: 'small platen', widthMm: 150, heightMm: 150 }],
  lower: null,
  timers: 2,
  opensItself: false,
};
const measured = (offsetK: number, spreadK: number) => ({ offsetK, spreadK, on: '2026-02-01', how: 'probe' });
const made = (change: Partial<Press>): Press => ({ ...TRUE, ...change });

export const PRESSES = {
  true: TRUE,
  hot: made({ id: 'hot', calibration: measured(12, 2) }),
  cold: made({ id: 'cold', calibration: measured(-9, 2) }),
  uneven: made({ id: 'uneven', calibration: measured(0, 6) }),
  unmeasured: made({ id: 'unmeasured', calibration: null }),
  fives: made({ id: 'fives', set: { unit: 'F', step: 5, minC: 93, maxC: 220 } }),
  weak: made({ id: 'weak', set: { unit: 'C', step: 1, minC: 60, maxC: 165 } }),
  untied: made({ id: 'untied', gauge: { kind: 'dial', pairs: [] } }),
  narrowGauge: made({
    id: 'narrow',
    gauge: {
      kind: 'dial',
      pairs: [
        { reading: 4, contactKPa: 15 },
        { reading: 5, contactKPa: 21 },
      ],
    },
  }),
  bare: made({ id: 'bare', swapPlatens: [] }),
  clamshell: made({ id: 'clam', name: 'a clamshell', kind: 'clamshell' }),
  cap: made({ id: 'cap', name: 'a cap press', kind: 'cap', platen: { widthMm: 150, heightMm: 90 } }),
  capUntied: made({ id: 'capUntied', name: 'a cap press', kind: 'cap', gauge: { kind: 'none' }, platen: { widthMm: 150, heightMm: 90 } }),
  twoSided: made({ id: 'two', name: 'a two-sided press', lower: { minC: 60, maxC: 220, offsetK: 0, spreadK: 2 } }),
  iron: made({
    id: 'iron',
    name: 'an iron',
    kind: 'iron',
    gauge: { kind: 'none' },
    platen: { widthMm: 120, heightMm: 200 },
    swapPlatens: [],
  }),
  handPress: made({
    id: 'hand',
    name: 'a hand press',
    kind: 'hand press',
    gauge: { kind: 'none' },
    platen: { widthMm: 230, heightMm: 230 },
    swapPlatens: [],
  }),
  air: made({
    id: 'air',
    name: 'an air press',
    gauge: {
      kind: 'air',
      pairs: [
        { reading: 138, contactKPa: 9 },
        { reading: 552, contactKPa: 47 },
      ],
    },
    drive: { cylinders: 1, boreMm: 100, ratio: 2.41, springN: 756 },
  }),
  halves: made({ id: 'halves', name: 'a press of half seconds', timerStepS: 0.5 }),
  smallBase: made({ id: 'smallBase', name: 'a press of a small base', base: { widthMm: 200, heightMm: 200 } }),
  auto: made({ id: 'auto', opensItself: true }),
  old: made({ id: 'old', name: 'the old press', retiredOn: '2026-01-05' }),
} as const satisfies Record<string, Press>;

/** A survey by probe of the true press with one corner so many kelvin colder, on the day after it was last measured. */
function surveyed(pressId: string, coldK: number): PlatenMap {
  const readings = PLANS.nine(TRUE.platen).map((place, i) => ({ ...place, setC: 150, readC: i === 0 ? 150 - coldK : 150 }));
  return platenMap(
    {
      id: 's',
      kind: 'survey',
      pressId,
      platen: 'upper',
      at: 1,
      by: '',
      instrument: { kind: 'probe' },
      finish: 'dark coated',
      roomC: 21,
      readings,
      note: '',
    },
    TRUE.platen,
    '2026-03-01',
  );
}
export const MAPS = { even: surveyed('true', 0), coldCorner: surveyed('true', 12) } as const;

const drags = 'drags' as const;
const SLIPS = {
  even: { 'back left': drags, 'back right': drags, 'front left': drags, 'front right': drags },
  'loose back': { 'back left': 'slides free', 'back right': 'slides free', 'front left': drags, 'front right': drags },
} as const;

type Figures<K extends HouseSetting['of']> = Pick<SettingOf<K>, 'of' | 'stage' | 'value'>;
type KeptFigure = Figures<'time'> | Figures<'temperature'> | Figures<'pressure'>;

export interface Case {
  says: string;
  /** A built-in blank and what is different about this one. */
  on: string;
  blank?: Partial<Blank>;
  fabric?: Partial<Fabric>;
  /** The top layer's family and what is different about this product. */
  with: FamilyId;
  product?: Partial<Product>;
  /** Lower layers, lowest first. */
  under?: FamilyId[];
  press?: keyof typeof PRESSES;
  rules?: Partial<House['rules']>;
  figures?: Partial<House['figures']>;
  humidity?: number;
  /** Settings the house keeps for this press and transfer, °C or s, each after 9 good and 1 spoiled. */
  keeps?: { time?: number; temperature?: number };
  /** What was tested with this transfer; unless said otherwise on this very blank and press, good, peeled warm. */
  tested?: (Partial<Tested> & { onPress?: keyof typeof PRESSES })[];
  /** Settings the house keeps for other closings of this press and transfer, by hand. */
  keepsStages?: KeptFigure[];
  /** Side by side: no layer lies over another. */
  print?: Partial<Print> & { sideBySide?: boolean };
  colour?: string;
  choices?: Choices;
  item?: Partial<ResolveInput['item']>;
  aids?: readonly Aid[];
  /** How the last slips pulled at the press came out. */
  slips?: 'even' | 'loose back';
  /** The survey of the press. */
  map?: keyof typeof MAPS;
  lamp?: LampState;
  /** Set values, where the case is about them. */
  set?: Partial<Omit<Card['set'], 'pressure'>>;
  band?: Card['set']['pressure']['band'];
  /** Every one of these stands in what lowers the lamp. */
  because?: RegExp;
  /** None of the findings says this. */
  notBecause?: RegExp;
  /** Stands in the hands' steps or their safety lines. */
  step?: RegExp;
  noStep?: RegExp;
  /** Kinds of stages, in order, others between them. */
  stages?: Card['stages'][number]['kind'][];
  noStage?: Card['stages'][number]['kind'];
  /** Stands in the chain of reasons. */
  reason?: RegExp;
  noReason?: RegExp;
  /** The stack at the press stage holds this layer. */
  stack?: RegExp;
}

const ART: Print = {
  key: 'p',
  position: 'face',
  artName: 'star',
  artKind: 'one colour',
  widthMm: 80,
  heightMm: 80,
  layers: [],
  embossed: false,
  looseParts: false,
  smallType: false,
  crossesSeam: false,
  pressId: 'true',
  choices: {},
};

const keptBy = ({ keeps = {}, press = 'true' }: Case, productId: string): NonNullable<House['settings']> =>
  (['time', 'temperature'] as const).flatMap((of) => {
    const value = keeps[of];
    const what = { pressId: PRESSES[press].id, productId, of, on: '2026-03-02', good: 9, spoiled: 1 };
    return value === undefined ? [] : [{ ...what, value }];
  });

const testsOf = ({ tested = [], press = 'true', on }: Case, productId: string): Tested[] =>
  tested.map(({ onPress = press, ...own }, i) => ({
    id: `test-${i}`,
    name: 'a test',
    productId,
    pressId: PRESSES[onPress].id,
    on: { kind: 'blank', id: on },
    setC: 150,
    readC: null,
    timeS: 12,
    peel: 'warm',
    result: 'good',
    note: '',
    by: 'EM',
    testedOn: '2026-05-04',
    offSheet: false,
    ...own,
  }));

export function inputOf(entry: Case): ResolveInput {
  const blank = BUILT_IN_BLANKS.find((b) => b.id === entry.on);
  const fabric = BUILT_IN_FABRICS.find((f) => f.id === (entry.blank?.fabricId ?? blank?.fabricId));
  if (!blank || !fabric) throw new Error(`${entry.says}: no blank ${entry.on}`);
  const product = { ...PRODUCTS[entry.with], ...entry.product };
  const under = (entry.under ?? []).map((family, i) => ({ ...PRODUCTS[family], id: `under-${i}` }));
  const { sideBySide = false, ...print } = entry.print ?? {};
  const layers = [...under.map((u, i) => ({ key: `u${i}`, productId: u.id, over: i === 0 || sideBySide ? [] : [`u${i - 1}`] }))];
  return {
    print: {
      ...ART,
      position: usualPosition(entry.blank?.kind ?? blank.kind),
      artKind: product.artKinds[0] ?? 'one colour',
      ...(entry.on === 'wooden-tag' && { widthMm: 70, heightMm: 30 }),
      ...print,
      layers: [
        ...layers,
        {
          key: 'top',
          productId: product.id,
          over: sideBySide ? [] : layers.map((l) => l.key),
          ...(entry.colour && { colour: entry.colour }),
        },
      ],
      choices: entry.choices ?? {},
    },
    item: { size: blank.sizes[0] ?? '', roster: [], perClosing: 1, together: [], before: [], ...entry.item },
    blank: { ...blank, ...entry.blank },
    fabric: { ...fabric, ...entry.fabric },
    product,
    under,
    press: PRESSES[entry.press ?? 'true'],
    house: {
      ...STARTING_HOUSE,
      rules: { ...STARTING_HOUSE.rules, ...entry.rules },
      figures: { ...STARTING_HOUSE.figures, ...entry.figures },
      room: { ...STARTING_HOUSE.room, humidityPercent: entry.humidity ?? 50 },
      settings: [
        ...keptBy(entry, product.id),
        ...(entry.keepsStages ?? []).map(
          (own): HouseSetting => ({
            ...own,
            pressId: PRESSES[entry.press ?? 'true'].id,
            productId: product.id,
            on: '2026-03-02',
            good: 0,
            spoiled: 0,
          }),
        ),
      ],
    },
    aids: entry.aids ?? BUILT_IN_AIDS,
    ...(entry.tested && { tested: testsOf(entry, product.id), presses: Object.values(PRESSES) }),
    ...(entry.map && { maps: [MAPS[entry.map]] }),
    ...(entry.slips && { slips: [{ ...readPaperPull(SLIPS[entry.slips]), pressId: PRESSES[entry.press ?? 'true'].id, on: '2026-03-01' }] }),
  };
}

const near = (a: unknown, b: unknown) => (typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) < 0.6 : a === b);

/** Where the card is not what the case expects; empty when all holds. */
export function mismatches(entry: Case, trade: Trade = TRADE): string[] {
  const card = resolve(inputOf(entry), trade);
  const text = (says: Parameters<typeof phraseText>[0]) => phraseText(says, STARTING_HOUSE.units).replaceAll('\u00a0', ' ');
  const findings = card.lamp.findings.map((finding) => text(finding.says)).join(' | ');
  const steps = card.steps.map((step) => `${text(step.says)} ! ${step.safety ? text(step.safety) : ''}`).join(' | ');
  const reasons = card.reasons.map((reason) => text(reason.says)).join(' | ');
  const kinds = card.stages.map((stage) => stage.kind);
  const stack =
    card.stages
      .find((stage) => stage.kind === 'press')
      ?.stack.map((layer) => `${layer.role}: ${layer.name}`)
      .join(' | ') ?? '';
  const wrong: string[] = [];
  const expect = (holds: boolean, words: string) => {
    if (!holds) wrong.push(words);
  };
  if (entry.lamp) expect(card.lamp.state === entry.lamp, `lamp ${card.lamp.state}, not ${entry.lamp}: ${findings}`);
  if (entry.because) expect(entry.because.test(findings), `findings lack ${entry.because}: ${findings}`);
  if (entry.notBecause) expect(!entry.notBecause.test(findings), `findings say ${entry.notBecause}: ${findings}`);
  for (const [key, value] of Object.entries(entry.set ?? {}))
    expect(near(card.set[key as keyof Card['set']], value), `${key} ${String(card.set[key as keyof Card['set']])}, not ${String(value)}`);
  if (entry.band) expect(card.set.pressure.band === entry.band, `pressure ${card.set.pressure.band}, not ${entry.band}`);
  if (entry.step) expect(entry.step.test(steps), `steps lack ${entry.step}: ${steps}`);
  if (entry.noStep) expect(!entry.noStep.test(steps), `steps say ${entry.noStep}`);
  if (entry.reason) expect(entry.reason.test(reasons), `reasons lack ${entry.reason}: ${reasons}`);
  if (entry.noReason) expect(!entry.noReason.test(reasons), `reasons say ${entry.noReason}: ${reasons}`);
  if (entry.stack) expect(entry.stack.test(stack), `stack lacks ${entry.stack}: ${stack}`);
  if (entry.noStage) expect(!kinds.includes(entry.noStage), `there is a ${entry.noStage} stage`);
  if (entry.stages) {
    let at = -1;
    const found = entry.stages.every((kind) => {
      at = kinds.indexOf(kind, at + 1);
      return at >= 0;
    });
    expect(found, `stages ${kinds.join(', ')} lack ${entry.stages.join(', ')} in order`);
  }
  return wrong;
}
