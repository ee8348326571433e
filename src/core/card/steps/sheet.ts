/** The transfer made ready: warm base, trial, marry, trim, mask. */

import { closingBand, trialOf } from '../../draft';
import { dwell } from '../../press';
import { phrase, seconds, setTemp } from '../../units';
import { BURNS, marries, needs, PINCH, type StepRule } from './step';

export const SHEET_STEPS: readonly StepRule[] = [
  {
    id: 'warm-the-base',
    says: (context) =>
      phrase`Close the press empty for ${marries(context) ? 'some minutes: a hot marry-peel needs heat from below' : 'half a minute, so that a cold base does not rob the first piece'}.`,
    safety: () => PINCH,
  },
  {
    id: 'try-on-scrap',
    says: ({ input: { product }, draft }) => {
      const trial = trialOf(draft);
      const piece = product.mirroring === 'by the supplier' ? 'a spare transfer of the parcel' : 'weeded scrap of the same film';
      return (
        trial &&
        phrase`Try first: ${piece} on a strip of the same cloth, ${seconds(trial.fromS)}, then ${seconds(trial.stepS)} more each time up to ${seconds(trial.toS)}. A fresh scrap each time, for a second press flattens it. Keep the best.`
      );
    },
  },
  {
    id: 'marry-the-sheets',
    at: 'marry',
    says: ({ input, draft, values }) => {
      const { press } = input;
      const { marry } = draft;
      if (!marry) return null;
      const at = values.marry === values.press ? phrase`` : phrase` at ${setTemp(values.marry, press.set.unit)}`;
      return phrase`Marry: printed sheet and adhesive sheet face to face, no garment in the press. Close${at}, ${seconds(dwell(press, marry.timeS.nominal))}, ${closingBand(input, draft, 'marry')}.`;
    },
    safety: () => phrase`${PINCH} Heat-reactive glue and printed sheets: follow the maker’s safety data sheet, and ventilate.`,
  },
  {
    id: 'rub-the-married-sheet',
    at: 'rub married',
    says: ({ draft }) =>
      needs(
        draft.rubMarried,
        phrase`Before you part it, rub the married sheet down under a cloth for a few seconds, so that no bubble stays.`,
      ),
    safety: () => BURNS,
  },
  {
    id: 'part-the-sheets',
    at: 'part',
    says: (context) =>
      needs(
        marries(context),
        phrase`Lift the cover, wait a moment with the sheet still lying on the warm base, then part the two: ease in, let it run, ease off.`,
      ),
    safety: () => BURNS,
  },
  {
    id: 'trim-the-rim',
    at: 'trim',
    says: ({ draft }) => needs(draft.trim === 'rim', phrase`Trim the rim of the married sheet; leave a corner long as a peel tab.`),
  },
  {
    id: 'trim-the-carrier',
    at: 'trim',
    says: ({ draft }) => needs(draft.trim === 'carrier', phrase`Trim the spare tape round the stones.`),
  },
  {
    id: 'cut-apart',
    at: 'trim',
    says: ({ draft }) => needs(draft.trim === 'two-up', phrase`Cut the two-up sheets apart, with a corner left long as a peel tab.`),
  },
  {
    id: 'take-the-backing-off',
    at: 'place',
    says: ({ input: { product, under } }) => {
      const backed = [...under, product].filter(
        (product) => product.facing === 'face up' && product.carrier === 'none' && product.familyId !== 'heat-glued-patch',
      );
      if (backed.length === 0) return null;
      return under.length === 0
        ? phrase`Take its backing off.`
        : phrase`Take the backing off ${backed.map(({ name }) => name).join(' and ')}.`;
    },
  },
  {
    id: 'lay-the-mask',
    at: 'place',
    says: ({ draft }) => needs(draft.mask !== null, phrase`Lay the mask over the weeded parts and lift them in one piece.`),
  },
  {
    id: 'cut-patches-safely',
    says: ({ input: { product } }) =>
      needs(product.familyId === 'heat-glued-patch', phrase`Check the patches: cut clean, glue side whole.`),
    safety: () =>
      phrase`Cutting patches by laser: never vinyl, never leather-look of unknown kind, never chrome-tanned leather. Extraction on, eyes protected, never unattended; by the machine maker’s instructions.`,
  },
];
