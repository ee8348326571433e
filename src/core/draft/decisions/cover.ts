/** What lies over and under the piece: cover, base and pads. */
import { byHouse } from '../../house';
import { isHard } from '../../materials';
import { phrase } from '../../units';
import { type Arranged, obstructionsUnder, pressOf, type Sheeted } from '../draft';
import type { PreparedInput } from '../input';
import { type Decision, HOUSE, SHEET, when } from './decision';

const isCapOnItsPress = ({ press, blank }: PreparedInput): boolean => press.kind === 'cap' && blank.kind === 'cap';

export const COVERS: readonly Decision<Sheeted, Arranged>[] = [
  {
    id: 'cover-by-house',
    field: 'cover',
    rank: 'usual',
    decide: ({ house }, draft) => {
      const stage = pressOf(draft);
      const used = byHouse(house, 'coverWhenAllowed', { always: true, never: false });
      return when(stage.cover === 'allowed', () => ({
        set: { cover: used ? stage.coverKind : null },
        source: HOUSE,
        says: phrase`The sheet leaves the cover open; house rule: ${house.rules.coverWhenAllowed}.`,
      }));
    },
  },
  {
    id: 'cover-holds-static-down',
    field: 'cover',
    rank: 'piece',
    decide: ({ product, print }, draft) =>
      when(product.static && product.carrier === 'film' && pressOf(draft).cover === 'allowed' && print.looseParts, () => ({
        set: { cover: pressOf(draft).coverKind },
        source: SHEET,
        says: phrase`Static in its film carrier lifts loose parts as the press opens: a cover keeps them down.`,
      })),
  },
  {
    id: 'cover-over-exposed-film',
    field: 'cover',
    rank: 'piece',
    decide: ({ under }, draft) =>
      when(under.length > 0 && pressOf(draft).cover === 'allowed', () => ({
        set: { cover: pressOf(draft).coverKind },
        source: SHEET,
        says: phrase`Film of the lower layers lies open beside the upper one: it needs a cover, or it sticks to the platen.`,
      })),
  },
  {
    id: 'cover-chosen',
    field: 'cover',
    rank: 'operator',
    decide: ({ print: { choices } }, draft) =>
      choices.cover === undefined || pressOf(draft).cover !== 'allowed'
        ? null
        : {
            set: { cover: choices.cover ? pressOf(draft).coverKind : null },
            source: 'operator',
            says: choices.cover ? phrase`Chosen for this print: a cover.` : phrase`Chosen for this print: no cover.`,
          },
  },
  {
    id: 'cover-by-sheet',
    field: 'cover',
    rank: 'sheet',
    decide: (_, draft) => {
      const { cover, coverKind } = pressOf(draft);
      return when(cover !== 'allowed', () => ({
        set: { cover: cover === 'required' ? coverKind : null },
        source: SHEET,
        says:
          cover === 'required'
            ? phrase`The sheet asks for a cover, and that goes before the house rule.`
            : phrase`The sheet says no cover, and that goes before the house rule.`,
      }));
    },
  },
  {
    id: 'base-firm-by-sheet',
    field: 'base',
    rank: 'usual',
    decide: ({ product }) =>
      when(product.base === 'firm', () => ({ set: { base: 'firm pad' }, source: SHEET, says: phrase`The sheet asks for a firm base.` })),
  },
  {
    id: 'base-under-an-obstruction',
    field: 'base',
    rank: 'piece',
    decide: (input) => {
      const { product, house, pose } = input;
      const high = obstructionsUnder(input);
      const words = high.map((inTheWay) => inTheWay.kind).join(' and ');
      // a platen of the press that needs nothing under the print comes before a pillow: it is offered as a way out
      if (high.length === 0 || byHouse(house, 'obstruction', { pillow: false, raise: false, 'hang off': true }) || pose.smaller)
        return null;
      const raise = byHouse(house, 'obstruction', { pillow: false, raise: true, 'hang off': false }) || product.base === 'firm';
      return {
        set: { base: raise ? 'firm pad' : 'pillow', raised: raise },
        source: HOUSE,
        says: raise
          ? phrase`The ${words} lies in the pressed area however it is laid: the print is raised over it on a firm pad.`
          : phrase`The ${words} lies in the pressed area however it is laid: a soft pillow lets it sink.`,
      };
    },
  },
  {
    id: 'base-pillow-across-a-seam',
    field: 'base',
    rank: 'particular',
    decide: ({ print, product }) =>
      when(print.crossesSeam && product.bridgesSeams && product.base === 'any', () => ({
        set: { base: 'pillow' },
        source: SHEET,
        says: phrase`The art runs over a seam: ${product.name} bridges it, on a pillow.`,
      })),
  },
  {
    id: 'base-chosen',
    field: 'base',
    rank: 'operator',
    decide: ({ print: { choices } }) =>
      choices.base
        ? {
            set: { base: choices.base, raised: choices.base === 'firm pad' },
            source: 'operator',
            says: phrase`Chosen for this print: ${choices.base}.`,
          }
        : null,
  },
  {
    id: 'pad-by-sheet',
    field: 'base',
    rank: 'usual',
    decide: ({ product }) =>
      when(product.pad !== 'none', () => ({
        set: { pad: product.pad },
        source: SHEET,
        says: phrase`The sheet asks for ${product.pad.replace('over', 'over it').replace('under', 'under it').replace('behind', 'behind it')}.`,
      })),
  },
  {
    id: 'pad-foam-in-a-cap',
    field: 'base',
    rank: 'piece',
    decide: (input) =>
      when(isCapOnItsPress(input) && input.product.pad === 'none', () => ({
        set: { pad: 'foam behind' },
        source: 'press',
        says: phrase`A cap’s front panel is curved: foam behind it carries the pressure into the corners.`,
      })),
  },
  {
    id: 'pad-felt-under-hard',
    field: 'base',
    rank: 'piece',
    decide: (input) =>
      when(
        isHard(input.fabric) &&
          input.product.pad === 'none' &&
          !isCapOnItsPress(input) &&
          byHouse(input.house, 'felt', { protect: true, 'leave out': false }),
        () => ({
          set: { pad: 'felt under' },
          source: HOUSE,
          says: phrase`House rule: felt under a hard blank, to spare the rubber of the base.`,
        }),
      ),
  },
];
