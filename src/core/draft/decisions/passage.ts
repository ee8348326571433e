/** Its way through the press: peel, marrying, layers, mask and trim, and where the heat comes from. */
import { byHouse } from '../../house';
import { pressOffset } from '../../press';
import { phrase, seconds, tempDiff } from '../../units';
import { type Arranged, pressOf, type Sheeted, sheetStage } from '../draft';
import { ownSeconds } from '../houseSettings';
import { testedStart, testedWords } from '../tested';
import { type Decision, HOUSE, SHEET, settings, when } from './decision';

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
    id: 'peel-tested',
    field: 'peel',
    rank: 'particular',
    decide: (input, draft) => {
      const start = testedStart(input);
      if (!start || start.tested.peel === pressOf(draft).peel) return null;
      const { peel } = start.tested;
      return input.product.otherPeels.includes(peel)
        ? { set: { peel }, source: 'blank', says: testedWords(start, input) }
        : { set: {}, source: 'blank', says: phrase`It was peeled ${peel} in a test, which its sheet does not have: left out.` };
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
      when(product.rub && sheetStage(known, 'marry') !== null, () => ({
        set: { rubMarried: true },
        source: SHEET,
        says: phrase`The married sheet is rubbed down under a cloth before it is parted, a few seconds, against bubbles.`,
      })),
  },
  {
    id: 'marry-chosen',
    field: 'layers',
    rank: 'operator',
    decide: (input, known) => {
      const marry = sheetStage(known, 'marry');
      const own = ownSeconds(input, 'marry');
      return own && marry
        ? {
            set: { marry: { ...marry, timeS: { ...marry.timeS, nominal: own.value } } },
            source: own.source,
            says: phrase`${own.whose}: married ${seconds(own.value)}.`,
          }
        : null;
    },
  },
  {
    id: 'tack-chosen',
    field: 'layers',
    rank: 'operator',
    decide: (input) => {
      const own = ownSeconds(input, 'tack');
      return own && input.under.length > 0
        ? { set: { tackS: own.value }, source: own.source, says: phrase`${own.whose}: lower layers are tacked ${seconds(own.value)}.` }
        : null;
    },
  },
  {
    id: 'layers-tack-or-full',
    field: 'layers',
    rank: 'usual',
    decide: ({ house }, { under: [first] }) => {
      if (!first) return null;
      const full = byHouse(house, 'layers', { tack: false, full: true });
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
      return when(print.embossed, () => ({
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
      // what lies face down is held by its own carrier
      when(print.looseParts && product.mask && product.facing === 'face up', () => ({
        set: { mask: product.maskPeel ?? 'warm' },
        source: SHEET,
        says: phrase`Several loose parts: a mask carries them over in one piece, and is lifted again ${product.maskPeel ?? 'warm'}.`,
      })),
  },
  {
    id: 'layers-hotter-in-full',
    field: 'layers',
    rank: 'usual',
    decide: (input, known) => {
      const last = pressOf(known).tempC.nominal;
      const hot = known.under.filter(({ press }) => press.tempC.min > last);
      // seconds chosen for this print are the operator's word
      return when(hot.length > 0 && ownSeconds(input, 'tack') === null, () => ({
        set: { fullS: known.under.map((underLayer) => (hot.includes(underLayer) ? underLayer.press.timeS.nominal : null)) },
        source: SHEET,
        says: phrase`The last press is too cool for ${hot.map(({ product }) => product.name).join(' and ')}: pressed in full first, at its own heat, and bears what comes after.`,
      }));
    },
  },
  {
    id: 'trim-by-sheet',
    field: 'art',
    rank: 'usual',
    decide: ({ product }) =>
      when(product.trim !== 'nothing', () => ({
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
      when(choices.heat === 'split' && press.lower !== null, () => ({
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
      when(product.passesMark && fabric.composition.length > 0, () => ({
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
      when(!pressOffset(press).measured && byHouse(house, 'unmeasured', { widen: false, bump: true }) && house.figures.bumpK > 0, () => ({
        set: { bumpK: house.figures.bumpK },
        source: HOUSE,
        says: phrase`House rule on an unmeasured press: it is taken to run ${tempDiff(house.figures.bumpK)} cooler than it shows, and set that much higher than reckoned. Measuring it would be surer.`,
      })),
  },
];
