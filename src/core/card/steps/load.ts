/** The piece made ready: cleaned, loaded, warmed. */

import { obstructionsUnder } from '../../draft';
import { COVER_SHEETS } from '../../heat';
import { cracksByShock, hasPile, isHard, shapeOf } from '../../materials';
import { phrase, seconds, setTemp } from '../../units';
import { layWords } from './place';
import { needs, PINCH, STEAM, type StepRule } from './step';

/** What usually stands up on a soft piece of each shape. */
const STANDS_UP: Record<ReturnType<typeof shapeOf>, string> = {
  body: 'collar, seams and pockets',
  legs: 'waistband, seams and pockets',
  apron: 'straps, hems and pockets',
  tote: 'handles, hems and seams',
  cap: 'brim seam and button',
  sheet: 'edges, folds and stitching',
  round: 'edges and stitching',
};

export const LOAD_STEPS: readonly StepRule[] = [
  {
    id: 'clean-the-hard-blank',
    at: 'load',
    says: ({ input: { fabric } }) =>
      needs(
        cracksByShock(fabric) || fabric.substrate === 'metal',
        phrase`Clean the face with a lint-free cloth and alcohol, and let it dry: a fingerprint under the print never goes away.`,
      ),
    safety: () => phrase`Alcohol burns: clean well away from the hot press, with the window open, and wait until it is dry.`,
  },
  {
    id: 'clean-acrylic',
    at: 'load',
    says: ({ input: { fabric } }) =>
      needs(
        fabric.substrate === 'acrylic',
        phrase`Clean the face with a soft cloth, water and a drop of mild soap, and let it dry. No alcohol: acrylic crazes under it.`,
      ),
  },
  {
    id: 'turn-the-hole-up',
    at: 'load',
    says: ({ input: { blank } }) =>
      needs(
        blank.obstructions.some((obstruction) => obstruction.kind === 'hanging hole'),
        phrase`Hanging hole the right way: check which end is up before the print goes down.`,
      ),
  },
  {
    id: 'clear-the-underside',
    at: 'load',
    says: ({ input: { blank } }) => {
      const loose = blank.obstructions
        .filter((obstruction) => ['strap', 'buckle', 'drawcord', 'rivet', 'button', 'zip'].includes(obstruction.kind))
        .map((obstruction) => obstruction.kind);
      return loose.length === 0 ? null : phrase`Keep ${loose.join(', ')} out from under the print and off the base.`;
    },
  },
  {
    id: 'smooth-the-lining',
    at: 'load',
    says: ({ input: { blank } }) => needs(blank.lined, phrase`Pull the lining clear or smooth it: a fold in it presses through.`),
  },
  {
    id: 'base-and-pads',
    says: ({ input, input: { fabric, blank }, draft }) => {
      const high = obstructionsUnder(input)
        .map((inTheWay) => inTheWay.kind)
        .join(', ');
      const base = {
        'usual pad': phrase`Usual base pad.`,
        'firm pad': phrase`Firm base: no pillow under the print.`,
        pillow: phrase`Pillow under the print.`,
      }[draft.base];
      const pad = {
        none: phrase``,
        'felt under': phrase` Felt under the piece.`,
        'soft pad over': phrase` Soft pad over it.`,
        'foam over': phrase` Foam over it, so that the pressure is even.`,
        'foam behind': phrase` Foam behind it, shaped to the curve.`,
      }[draft.pad];
      return phrase`${base}${pad}${high !== '' ? ` Mind the ${high}.` : isHard(fabric) ? '' : ` Keep ${STANDS_UP[shapeOf(blank)]} off the pressed area.`}`;
    },
  },
  {
    id: 'load-it',
    at: 'load',
    says: ({ input: { blank, press }, draft }) =>
      ({
        threaded: phrase`Thread the ${blank.kind} over the base, so one layer lies under the heat.`,
        flat: phrase`Lay the ${blank.kind} flat on the base, both layers smooth.`,
        turned: phrase`Lay the ${blank.kind} with its opening towards you, so that the hands stay away from the heat.`,
        'inside out': phrase`Turn the ${blank.kind} inside out and thread it on a corner of the platen.`,
        single:
          press.kind === 'cap'
            ? phrase`Pull the cap tight over the form, sweatband folded out.`
            : phrase`Lay the ${blank.kind} on the base, print side up.`,
      })[draft.loading],
  },
  { id: 'lay-it-on-the-platen', at: 'load', says: ({ input, draft }) => layWords(input, draft) },
  {
    id: 'protect-the-first-print',
    at: 'load',
    says: ({ input: { item }, draft }) =>
      needs(
        draft.protectFirst,
        phrase`Slip sheet between the ${item.before[0]?.position ?? ''} and the base: the first print softens again.`,
      ),
  },
  {
    id: 'stroke-the-pile',
    at: 'load',
    says: ({ input: { fabric } }) =>
      needs(
        hasPile(fabric) || fabric.texture === 'fleece',
        phrase`Stroke the nap one way before each closing; the platen leaves a frame beside the art that a soft brush lifts again.`,
      ),
  },
  {
    id: 'several-in-one-closing',
    at: 'load',
    says: ({ input: { item } }) =>
      needs(item.perClosing > 1, phrase`${String(item.perClosing)} in one closing: all of one thickness, spread evenly about the middle.`),
  },
  {
    id: 'pre-press',
    at: 'pre-press',
    says: ({ input: { fabric, press }, draft, values }) => {
      if (draft.prePressS === 0) return null;
      const at = values.prePress === values.press ? phrase`` : phrase` at ${setTemp(values.prePress, press.set.unit)}`;
      if (isHard(fabric)) return phrase`Warm the blank ${seconds(draft.prePressS)}${at} under the pad.`;
      const under = draft.prePressCover ? phrase`under ${COVER_SHEETS[draft.prePressCover].name}` : phrase`with nothing on it`;
      return phrase`Pre-press ${seconds(draft.prePressS)}${at} ${under}, to drive out damp and creases.`;
    },
    safety: ({ input: { fabric } }) => (isHard(fabric) ? PINCH : phrase`${PINCH} ${STEAM}`),
  },
];
