/** How it is mirrored, loaded and warmed before the transfer goes down. */

import { PRE_PRESS_S } from '../../house';
import { isHard } from '../../materials';
import { phrase, seconds } from '../../units';
import { driedIn } from '../stack';
import { type Decision, given, HOUSE, SHEET } from './decision';
import { massShare } from './mass';

/** Pre-warm of a hard blank between the least and the most thermal mass, s. */
const PRE_WARM_S = { least: 5, most: 40 } as const;

export const LAYING_DECISIONS: readonly Decision[] = [
  {
    id: 'mirror-by-facing-and-side',
    field: 'mirror',
    decide: ({ product, blank }) => {
      const through = blank.lookedAt === 'through the blank';
      const mirrored = (product.facing === 'face down') !== through;
      return {
        set: { mirror: mirrored ? 'mirrored' : 'as read' },
        source: SHEET,
        says: phrase`Laid ${product.facing} and looked at ${through ? 'through the blank' : 'from the side it is pressed on'}: the art is ${mirrored ? 'mirrored' : 'not mirrored'}.`,
      };
    },
  },
  {
    id: 'mirror-by-supplier',
    field: 'mirror',
    decide: ({ product }) =>
      given(product.mirroring === 'by the supplier', () => ({
        set: { mirror: 'by the supplier' },
        source: SHEET,
        says: phrase`Bought ready: the supplier has printed it the way it must lie.`,
      })),
  },
  {
    id: 'mirror-by-printer-path',
    field: 'mirror',
    decide: ({ product, blank }) =>
      given(product.mirroring === 'by the printer path' && blank.lookedAt === 'the printed side', () => ({
        set: { mirror: 'by the printer path' },
        source: SHEET,
        says: phrase`The printer turns it on its way through: send it as its sheet says, and check one R before the stack.`,
      })),
  },
  {
    id: 'loading-by-house',
    field: 'loading',
    decide: ({ fabric, house, blank }) =>
      given(!isHard(fabric) && blank.kind !== 'cap' && blank.kind !== 'journal', () => ({
        set: { loading: house.rules.loading },
        source: HOUSE,
        says: {
          threaded: phrase`House rule: threaded over the base, one layer under the heat.`,
          flat: phrase`House rule: laid flat, both layers under the heat.`,
          turned: phrase`House rule: turned round, so that the hands stay away from the heat.`,
        }[house.rules.loading],
      })),
  },
  {
    id: 'loading-too-narrow-to-thread',
    field: 'loading',
    decide: ({ laid, item, press }, { loading, platen }) =>
      given(loading === 'threaded' && laid.tooWideToThread === true, () => ({
        set: { loading: 'flat' },
        source: 'blank',
        says: phrase`The base of ${press.name} under ${platen.name ? `its ${platen.name}` : 'its platen'} cannot be threaded into a ${item.size} so that the art lies on it: laid flat, with both layers under the heat.`,
      })),
  },
  {
    id: 'loading-neck-label',
    field: 'loading',
    decide: ({ print }) =>
      given(print.position === 'neck label', () => ({
        set: { loading: 'inside out' },
        source: 'blank',
        says: phrase`A neck label sits inside: the garment is turned inside out and threaded on a corner of the platen.`,
      })),
  },
  {
    id: 'pre-press-by-house',
    field: 'pre-press',
    decide: (input, draft) => {
      const { fabric, house } = input;
      if (isHard(fabric)) return null;
      const rule = house.rules.prePress;
      const prePressS = rule === 'computed' ? driedIn(input, draft) : PRE_PRESS_S[rule];
      return {
        set: { prePressS },
        source: rule === 'computed' ? 'physics' : HOUSE,
        says:
          rule === 'computed'
            ? phrase`House rule: as long as the damp in ${fabric.name} needs at ${String(house.room.humidityPercent)} % in the room, ${seconds(prePressS)}.`
            : phrase`House rule: ${rule}, ${seconds(prePressS)}.`,
      };
    },
  },
  {
    id: 'pre-press-dries-wool',
    field: 'pre-press',
    decide: ({ fabric }, { prePressS }) =>
      given(
        fabric.composition.some((part) => part.fibre === 'wool' && part.percent >= 5),
        () => ({
          set: { prePressS: Math.max(prePressS, PRE_PRESS_S.long) },
          source: 'fabric',
          says: phrase`Wool felts under pressure while it is damp: dry it for at least ${seconds(PRE_PRESS_S.long)}.`,
        }),
      ),
  },
  {
    id: 'pre-warm-by-thermal-mass',
    field: 'pre-press',
    decide: (input) => {
      const prePressS = Math.round(PRE_WARM_S.least + (PRE_WARM_S.most - PRE_WARM_S.least) * massShare(input));
      return given(isHard(input.fabric) && input.product.timeByMass, () => ({
        set: { prePressS },
        source: 'physics',
        says: phrase`A hard blank is warmed first; for its thickness ${seconds(prePressS)}.`,
      }));
    },
  },
];
