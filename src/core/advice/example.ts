/** A live example for each school: the same piece worked out under every answer, and only what differs. */

import { type Card, resolve } from '../card';
import type { ResolveInput } from '../draft';
import { COVER_SHEETS } from '../heat';
import { type House, SCHOOLS, type School, type SchoolId } from '../house';
import { BUILT_IN_AIDS, BUILT_IN_BLANKS, BUILT_IN_FABRICS, usualPosition } from '../materials';
import type { Press } from '../press';
import { builtInProducts, type FamilyId, type Product } from '../sheet';
import { type Phrase, phrase, phraseText, seconds, setTemp } from '../units';

/** A press that does what it shows, for examples. */
const PLAIN_PRESS: Press = {
  id: 'example',
  name: 'a plain press',
  kind: 'swing-away',
  set: { unit: 'C', step: 1, minC: 60, maxC: 220 },
  calibration: { offsetK: 0, spreadK: 2, on: '2026-01-01', how: 'probe' },
  gauge: { kind: 'none' },
  platen: { widthMm: 400, heightMm: 500 },
  swapPlatens: [],
  lower: { minC: 60, maxC: 220, offsetK: 0, spreadK: 2 },
  timers: 2,
  opensItself: false,
};

function inputFor({ rule, example }: School, house: House): ResolveInput {
  const blank = BUILT_IN_BLANKS.find((blank) => blank.id === example.blankId);
  const fabric = BUILT_IN_FABRICS.find((fabric) => fabric.id === blank?.fabricId);
  const products = builtInProducts('2026-01-01');
  const general = (id: FamilyId): Product | undefined => products.find((product) => product.familyId === id);
  const product = general(example.family);
  if (!blank || !fabric || !product) throw new TypeError(`the example for ${rule} names what is not built in`);
  const under = example.under ? [general(example.under)].filter((product) => product !== undefined) : [];
  const position = usualPosition(blank.kind);
  const { heat, ...placed } = example.print ?? {};
  return {
    print: {
      key: 'a',
      position,
      artName: 'a star',
      artKind: product.artKinds[0] ?? 'one colour',
      widthMm: 200,
      heightMm: 200,
      layers: [
        ...under.map((product, i) => ({ key: `u${i}`, productId: product.id, over: [] })),
        { key: 'top', productId: product.id, over: under.map((_, i) => `u${i}`) },
      ],
      embossed: false,
      looseParts: false,
      smallType: false,
      crossesSeam: false,
      pressId: PLAIN_PRESS.id,
      choices: { ...(heat && { heat }) },
      ...placed,
    },
    item: { size: blank.sizes[0] ?? '', roster: [], perClosing: 1, together: [], before: [] },
    blank: example.zip
      ? {
          ...blank,
          obstructions: [
            { kind: 'zip', heightMm: 4, at: [] },
            { kind: 'seam', heightMm: 2, at: [] },
          ],
        }
      : blank,
    fabric,
    product,
    under,
    press: { ...PLAIN_PRESS, ...example.press, set: { ...PLAIN_PRESS.set, unit: house.units.temperature } },
    house,
    aids: BUILT_IN_AIDS,
  };
}

const LAMP = { clear: 'Clear', care: 'Care', hold: 'Hold' } as const;

/** What one looks at first on a card. */
const factsOf = ({ lamp, set, stages, window, minutesPerPiece }: Card): [string, Phrase][] => [
  ['Lamp', phrase`${LAMP[lamp.state]}`],
  ['Cautions', phrase`${String(lamp.findings.length)}`],
  ['Set to', phrase`${setTemp(set.tempC, window.settable.unit)}`],
  ['Cover', phrase`${set.cover ? COVER_SHEETS[set.cover].name : 'none'}`],
  ['Base', phrase`${set.base}${set.pad === 'none' ? '' : `, ${set.pad}`}`],
  [
    'Closings',
    stages
      .filter((stage) => stage.by === 'press')
      .flatMap((stage, i): Phrase => [i > 0 ? ', ' : '', `${stage.kind} `, seconds(stage.timeS)]),
  ],
  ['A piece takes', phrase`${minutesPerPiece.toFixed(1)} min`],
];

export interface SchoolExample {
  /** The piece it is shown on. */
  piece: string;
  answers: {
    value: string;
    /** Facts of the card that differ between the answers. */
    facts: { name: string; says: Phrase }[];
    /** Steps that only this answer has. */
    steps: Phrase[];
  }[];
}

/** The example of a school under a house, one card for each answer; only what differs is told. */
export function schoolExample(rule: SchoolId, house: House): SchoolExample {
  const school = SCHOOLS.find((school) => school.rule === rule);
  if (!school) throw new TypeError(`there is no school ${rule}`);
  const { answers } = school;
  const cards = answers.map(({ value }) => resolve(inputFor(school, { ...house, rules: { ...house.rules, [rule]: value } })));
  const text = (says: Phrase) => phraseText(says, house.units);
  const differs = (name: string) => new Set(cards.map((card) => text(factsOf(card).find(([other]) => other === name)?.[1] ?? []))).size > 1;
  const everywhere = (says: string) => cards.every((card) => card.steps.some((step) => text(step.says) === says));
  const [first] = cards;
  return {
    piece: first ? `${first.of.blankName}, ${first.of.layers.map((layer) => layer.productName).join(', then ')}` : '',
    answers: answers.map(({ value }, i) => {
      const card = cards[i];
      return {
        value,
        facts: card
          ? factsOf(card)
              .filter(([name]) => differs(name))
              .map(([name, says]) => ({ name, says }))
          : [],
        steps: card ? card.steps.map((step) => step.says).filter((says) => !everywhere(text(says))) : [],
      };
    }),
  };
}
