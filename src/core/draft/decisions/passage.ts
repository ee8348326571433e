/** Its way through the press: peel, marrying, layers, mask and trim, and where the heat comes from. */
import { pressOffset } from '../../press';
import { phrase, seconds, tempDiff } from '../../units';
import { type Arranged, pressOf, type Sheeted, sheetStage } from '../draft';
import { type Decision, given, HOUSE, SHEET, settings } from './decision';

/** A lower layer's tack where its own sheet names none, s. */
const TACK_S = 3;

export const PASSAGE: readonly Decision<Sheeted, Arranged>[] = [
  {
    id: 'peel-by-sheet',
    field: 'peel',
    rank: 'usual',
    decide: (_, draft) => {
      const { peel } = pressOf(draft);
      return {
        set: { peel },
        source: SHEET,
        says: peel === 'none' ? phrase`Sheet: laid face up, nothing to peel.` : phrase`Sheet: peel ${peel}.`,
      };
    },
  },
  {
    id: 'peel-chosen',
    field: 'peel',
    rank: 'operator',
    decide: ({ print: { choices }, product }) =>
      choices.peel && product.otherPeels.includes(choices.peel)
        ? { set: { peel: choices.peel }, source: 'operator', says: phrase`Chosen for this print, as the sheet allows: ${choices.peel}.` }
        : null,
  },
  {
    id: 'marry-by-sheet',
    field: 'layers',
    rank: 'usual',
    decide: (_, draft) => {
      const marry = sheetStage(draft, 'marry');
      return marry
        ? { set: { marry }, source: SHEET, says: phrase`The printed sheet is married to its adhesive sheet first: ${settings(marry)}.` }
        : null;
    },
  },
  {
    id: 'rub-before-parting',
    field: 'peel',
    rank: 'usual',
    decide: ({ product }, known) =>
      given(product.rub && sheetStage(known, 'marry') !== null, () => ({
        set: { rubMarried: true },
        source: SHEET,
        says: phrase`The married sheet is rubbed down under a cloth before it is parted, a few seconds, against bubbles.`,
      })),
  },
  {
    id: 'marry-chosen',
    field: 'layers',
    rank: 'operator',
    decide: ({ print: { choices } }, known) => {
      const marry = sheetStage(known, 'marry');
      const timeS = choices.stageS?.marry;
      return timeS && marry
        ? {
            set: { marry: { ...marry, timeS: { ...marry.timeS, nominal: timeS } } },
            source: 'operator',
            says: phrase`Chosen for this print: married ${seconds(timeS)}.`,
          }
        : null;
    },
  },
  {
    id: 'tack-chosen',
    field: 'layers',
    rank: 'operator',
    decide: ({ print: { choices, layers } }) => {
      const tackS = choices.stageS?.tack;
      return given(tackS !== undefined && layers.length > 1, () => ({
        set: { tackS: tackS ?? 0 },
        source: 'operator',
        says: phrase`Chosen for this print: lower layers are tacked ${seconds(tackS ?? 0)}.`,
      }));
    },
  },
  {
    id: 'layers-tack-or-full',
    field: 'layers',
    rank: 'usual',
    decide: ({ house }, { under: [first] }) => {
      if (!first) return null;
      const full = house.rules.layers === 'full';
      const tackS = full ? first.press.timeS.nominal : (first.tack?.timeS.nominal ?? TACK_S);
      return {
        set: { tackS },
        source: HOUSE,
        says: full
          ? phrase`House rule: every layer gets its full press.`
          : phrase`House rule: each lower layer is tacked ${seconds(tackS)}, just enough to leave its carrier; only the last is pressed in full. Films shrink, and more heat shrinks them more.`,
      };
    },
  },
  {
    id: 'layers-emboss-base-released',
    field: 'layers',
    rank: 'piece',
    decide: ({ print }, { under: [base] }) =>
      print.embossed && base?.product.embossBase
        ? {
            set: { tackS: base.press.timeS.nominal },
            source: SHEET,
            says: phrase`Embossing: the high-build layer is pressed in full and released first.`,
          }
        : null,
  },
  {
    id: 'layers-emboss-film-tacked',
    field: 'layers',
    rank: 'usual',
    decide: ({ print }, known) => {
      const embossTackS = sheetStage(known, 'tack')?.timeS.nominal ?? TACK_S;
      return given(print.embossed, () => ({
        set: { embossTackS },
        source: SHEET,
        says: phrase`Embossing: the film is only tacked over it, ${seconds(embossTackS)}, then all is pressed from the back.`,
      }));
    },
  },
  {
    id: 'mask-for-loose-parts',
    field: 'art',
    rank: 'usual',
    decide: ({ print, product }) =>
      given(print.looseParts && product.mask, () => ({
        set: { mask: true },
        source: SHEET,
        says: phrase`Several loose parts: a mask carries them over in one piece.`,
      })),
  },
  {
    id: 'trim-by-sheet',
    field: 'art',
    rank: 'usual',
    decide: ({ product }) =>
      given(product.trim !== 'nothing', () => ({
        set: { trim: product.trim },
        source: SHEET,
        says: {
          rim: phrase`The rim of a married sheet is trimmed: its glue line would show as a pale edge.`,
          carrier: phrase`Spare tape is trimmed, so that the carrier lies flat.`,
          'two-up': phrase`Two-up sheets are cut apart.`,
          nothing: phrase``,
        }[product.trim],
      })),
  },
  {
    id: 'protect-the-first-print',
    field: 'layers',
    rank: 'usual',
    decide: ({ item }) => {
      const first = item.before[0];
      return first
        ? {
            set: { protectFirst: true },
            source: HOUSE,
            says: phrase`The ${first.position} is already printed: a slip sheet keeps it off the base while this one is pressed.`,
          }
        : null;
    },
  },
  {
    id: 'heat-from-below',
    field: 'temperature',
    rank: 'operator',
    decide: ({ print: { choices }, press }) =>
      given(choices.heat === 'split' && press.lower !== null, () => ({
        set: { split: true },
        source: 'operator',
        says: phrase`Chosen for this print: split heat. The lower platen brings what the glue lacks, the upper one stays cool enough for the bare face.`,
      })),
  },
  {
    id: 'mark-passed-by-design',
    field: 'temperature',
    rank: 'usual',
    decide: ({ product, fabric }) =>
      given(product.passesMark && fabric.composition.length > 0, () => ({
        set: { passesMark: true },
        source: SHEET,
        says: phrase`${product.name} is made to go past the mark limit of its fibre: only harm bounds it.`,
      })),
  },
  {
    id: 'bump-on-an-unmeasured-press',
    field: 'temperature',
    rank: 'usual',
    decide: ({ press, house }) =>
      given(!pressOffset(press).measured && house.rules.unmeasured === 'bump' && house.figures.bumpK > 0, () => ({
        set: { bumpK: house.figures.bumpK },
        source: HOUSE,
        says: phrase`House rule on an unmeasured press: it is taken to run ${tempDiff(house.figures.bumpK)} cooler than it shows, and set that much higher than reckoned. Measuring it would be surer.`,
      })),
  },
];
