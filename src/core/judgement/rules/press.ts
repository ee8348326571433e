/** Rules of the press: what it is known to do, what fits on it, what it is not made for. */

import { areaOfArt, bandOnCloth, faceOfPiece, layIn, mapOf, ownBand, pressOf, thicknessOf, touchingArea } from '../../draft';
import { isBrittle, isHard } from '../../materials';
import { fitInClosing } from '../../placement';
import { coldUnder, type FoundSlips, fitsShape, isHandHeld, pressOffset, pressureSetting } from '../../press';
import { mm, type Phrase, phrase, tempDiff } from '../../units';
import { type Rule, when } from './rule';

/** Art plus this much all round must lie on the heated platen, mm. */
const HEATED_MARGIN_MM = 10;
/** Thicker than this, a hinged press meets the back edge first, mm. */
const CLAMSHELL_MOST_MM = 12;
/** Pieces that differ by more than this are not pressed in one closing, mm. */
const SAME_THICKNESS_MM = 0.25;

/** What slips that were pulled already say of a press without a figure. */
const slipWords = (name: string, { on, words, parallel, loose }: FoundSlips): Phrase =>
  parallel
    ? phrase`The pressure of ${name} was never tied to a figure. Its slips of ${on} said ${words} at every corner: go by that, and tie it at Presses when a film or a gauge is at hand.`
    : phrase`The slips of ${on} were looser at the ${loose.join(', ')} of ${name}: have its platens set level, and keep the art off that side until then.`;

export const PRESS_RULES: readonly Rule[] = [
  {
    id: 'press-unmeasured',
    field: 'temperature',
    level: 'care',
    evaluate: ({ press }) =>
      when(
        !pressOffset(press).measured,
        () =>
          phrase`${press.name} was never measured, so its surface is taken to be off by up to ${tempDiff(pressOffset(press).spreadK)} either way. Measure corners and centre.`,
      ),
  },
  {
    id: 'pressure-guessed',
    field: 'pressure',
    level: 'care',
    evaluate: (input, draft) => {
      const { press } = input;
      const slips = input.slips?.find((slip) => slip.pressId === press.id);
      return when(pressureSetting(press, draft.band, touchingArea(input, draft)).sure === 'guess', () =>
        isHandHeld(press)
          ? phrase`${press.name} has no pressure reading: lean on it evenly and look at the first piece closely.`
          : press.kind === 'cap'
            ? phrase`The pressure of ${press.name} was never tied to a figure, and a curved form has no corners to pull slips at: close it on a spare cap and pull at the edges of the first print.`
            : slips
              ? slipWords(press.name, slips)
              : phrase`The pressure of ${press.name} was never tied to a figure: try paper slips at the four corners first.`,
      );
    },
  },
  {
    id: 'pressure-off-sheet',
    field: 'pressure',
    level: 'care',
    evaluate: (input, draft) => {
      const asked = pressOf(draft).pressure.band;
      return when(
        ownBand(input, 'press') !== null && draft.band !== asked && draft.band !== bandOnCloth(input.fabric, asked),
        () =>
          phrase`The sheet of ${input.product.name} asks for ${asked} pressure, and it is pressed ${draft.band}: pull at the edges of the first piece.`,
      );
    },
  },
  {
    id: 'pressure-beyond',
    field: 'pressure',
    level: 'care',
    evaluate: (input, draft) =>
      when(
        // a small hard piece always lies beyond what was measured on cloth: the gauge's figure says that it is a guess
        !isHard(input.fabric) && pressureSetting(input.press, draft.band, touchingArea(input, draft)).sure === 'beyond the measured pairs',
        () =>
          phrase`${draft.band} pressure lies beyond what was measured on ${input.press.name}${draft.platen.name ? ` with the ${draft.platen.name}` : ''}.`,
      ),
  },
  {
    id: 'hand-press-cannot-press-firm',
    field: 'pressure',
    level: 'hold',
    evaluate: ({ press, product }, { band }) =>
      when(
        isHandHeld(press) && (band === 'firm' || band === 'heavy') && !product.byHand,
        () => phrase`${product.name} wants ${band} pressure over the whole print, which arms on ${press.name} do not give evenly.`,
      ),
  },
  {
    id: 'firm-by-hand-as-its-sheet-allows',
    field: 'pressure',
    level: 'care',
    evaluate: ({ press, product }, { band }) =>
      when(
        isHandHeld(press) && (band === 'firm' || band === 'heavy') && product.byHand === true,
        () =>
          phrase`The sheet of ${product.name} allows an iron: lean on ${press.name} with all your weight, on a hard table, spot by spot, and pull at an edge before you go on.`,
      ),
  },
  {
    id: 'spots-overlap',
    field: 'time',
    level: 'care',
    evaluate: ({ press }, { spots }) =>
      when(
        isHandHeld(press) && spots > 1,
        () =>
          phrase`Where the ${String(spots)} spots of ${press.name} overlap the print is heated twice: keep the overlap narrow and time every spot.`,
      ),
  },
  {
    id: 'art-off-platen',
    field: 'art',
    level: 'hold',
    evaluate: ({ print, press }, { platen }) => {
      const need = [print.widthMm, print.heightMm].map((side) => side + 2 * HEATED_MARGIN_MM).sort((a, b) => a - b);
      const have = [platen.widthMm, platen.heightMm].sort((a, b) => a - b);
      const over = (need[0] ?? 0) > (have[0] ?? 0) || (need[1] ?? 0) > (have[1] ?? 0);
      return when(
        over && !isHandHeld(press),
        () =>
          phrase`The art with ${mm(HEATED_MARGIN_MM)} all round is larger than ${platen.name ? `the ${platen.name}` : 'the platen'} of ${press.name} (${mm(platen.widthMm)} by ${mm(platen.heightMm)}).`,
      );
    },
  },
  {
    id: 'art-off-base',
    field: 'art',
    level: 'hold',
    evaluate: ({ print, press }) => {
      const base = press.base ?? press.platen;
      const need = [print.widthMm, print.heightMm].sort((a, b) => a - b);
      const have = [base.widthMm, base.heightMm].sort((a, b) => a - b);
      const over = (need[0] ?? 0) > (have[0] ?? 0) || (need[1] ?? 0) > (have[1] ?? 0);
      return when(
        over && !isHandHeld(press),
        () =>
          phrase`The art is larger than the base of ${press.name} (${mm(base.widthMm)} by ${mm(base.heightMm)}): what hangs over it gets no pressure.`,
      );
    },
  },
  {
    id: 'face-unknown-brittle',
    field: 'pressure',
    level: 'hold',
    evaluate: (input) => {
      const { blank, fabric, press } = input;
      return when(
        isHard(fabric) && isBrittle(fabric) && !isHandHeld(press) && !faceOfPiece(input).known,
        () =>
          phrase`Nobody said how large the face of ${blank.name} is, and on it hangs how hard a platen of ${press.name} presses it: ${fabric.name} breaks. Type its face on the shelf, or its sides as its size.`,
      );
    },
  },
  {
    id: 'face-unknown',
    field: 'pressure',
    level: 'care',
    evaluate: (input) => {
      const { blank, fabric, press } = input;
      return when(
        isHard(fabric) && !isBrittle(fabric) && !isHandHeld(press) && !faceOfPiece(input).known,
        () =>
          phrase`Nobody said how large the face of ${blank.name} is: the pressure is reckoned for one as large as its art. Type its face on the shelf, or its sides as its size.`,
      );
    },
  },
  {
    id: 'more-than-fit',
    field: 'loading',
    level: 'hold',
    evaluate: (input, { platen }) => {
      const { item, fabric, press } = input;
      if (!isHard(fabric) || isHandHeld(press) || item.perClosing < 2) return null;
      const base = press.base ?? platen;
      const room = { widthMm: Math.min(platen.widthMm, base.widthMm), heightMm: Math.min(platen.heightMm, base.heightMm) };
      const fit = fitInClosing(faceOfPiece(input), room, item.perClosing);
      return when(
        fit < item.perClosing,
        () =>
          phrase`${String(item.perClosing)} pieces do not lie on ${platen.name ? `the ${platen.name}` : 'the platen'} of ${press.name} at once: ${fit === 0 ? 'none' : String(fit)} would, clear of its edge and of each other.`,
      );
    },
  },
  {
    id: 'art-laid-off-platen',
    field: 'art',
    level: 'hold',
    evaluate: ({ print, press }, { platen }) => {
      if (!print.lay) return null;
      const { xMm, yMm, widthMm, heightMm } = areaOfArt(print, print.lay);
      const over = Math.max(
        Math.abs(xMm) + widthMm / 2 + HEATED_MARGIN_MM - platen.widthMm / 2,
        Math.abs(yMm) + heightMm / 2 + HEATED_MARGIN_MM - platen.heightMm / 2,
      );
      return when(
        over > 0 && !isHandHeld(press),
        () => phrase`Laid there, the art with ${mm(HEATED_MARGIN_MM)} all round reaches ${mm(over)} past the platen of ${press.name}.`,
      );
    },
  },
  {
    id: 'cold-spot-under-art',
    field: 'temperature',
    level: 'care',
    evaluate: (input) => {
      const map = mapOf(input);
      const [spot] = map ? coldUnder(map, areaOfArt(input.print, layIn(input))) : [];
      return when(
        spot !== undefined,
        () =>
          phrase`The art lies over a cold spot of ${input.press.name}: ${tempDiff(spot?.byK ?? 0)} colder than elsewhere in the survey of ${map?.on ?? ''}. Turn the piece round, shift it, or take another press.`,
      );
    },
  },
  {
    id: 'platen-not-there',
    field: 'base',
    level: 'hold',
    evaluate: ({ print: { choices }, press }) =>
      when(
        choices.platenId !== undefined && !press.swapPlatens.some((platen) => platen.id === choices.platenId),
        () => phrase`${press.name} has no such platen to put in.`,
      ),
  },
  {
    id: 'cap-wants-cap-press',
    field: 'loading',
    level: 'hold',
    evaluate: ({ blank, press }) =>
      when(
        blank.kind === 'cap' && !fitsShape(press, blank),
        () => phrase`A cap’s front is curved and does not lie on the flat platen of ${press.name}: it wants a cap press.`,
      ),
  },
  {
    id: 'flat-piece-on-cap-press',
    field: 'loading',
    level: 'hold',
    evaluate: ({ blank, press }) =>
      when(blank.kind !== 'cap' && !fitsShape(press, blank), () => phrase`${press.name} is curved: a ${blank.kind} does not lie on it.`),
  },
  {
    id: 'clamshell-cracks-thick',
    field: 'pressure',
    level: 'hold',
    evaluate: ({ press, fabric, blank }) =>
      when(
        press.kind === 'clamshell' && isBrittle(fabric) && thicknessOf({ blank, fabric }) > CLAMSHELL_MOST_MM,
        () =>
          phrase`${mm(thicknessOf({ blank, fabric }))} of ${fabric.name} in a hinged press takes the whole force on its back edge and may crack. Press it where the platens close parallel.`,
      ),
  },
  {
    id: 'clamshell-uneven-on-thick',
    field: 'pressure',
    level: 'care',
    evaluate: ({ press, fabric, blank }) =>
      when(
        press.kind === 'clamshell' && !isBrittle(fabric) && thicknessOf({ blank, fabric }) > CLAMSHELL_MOST_MM,
        () =>
          phrase`${press.name} is hinged and meets a piece of ${mm(thicknessOf({ blank, fabric }))} at its back edge first: the pressure is uneven.`,
      ),
  },
  {
    id: 'one-thickness-a-closing',
    field: 'pressure',
    level: 'hold',
    evaluate: ({ item, blank, fabric }) => {
      const own = thicknessOf({ blank, fabric });
      const other = item.together.find((candidate) => Math.abs(candidate.thicknessMm - own) > SAME_THICKNESS_MM);
      if (other)
        return phrase`${blank.name} (${mm(own)}) and ${other.name} (${mm(other.thicknessMm)}) in one closing: the thicker takes all the pressure. One thickness a closing.`;
      return when(
        item.perClosing > 1 && isHard(fabric) && blank.thicknessSpreadMm > SAME_THICKNESS_MM,
        () =>
          phrase`Pieces of ${blank.name} differ by ${{ q: 'length', v: blank.thicknessSpreadMm, d: 2 }} within a lot: ${String(item.perClosing)} in one closing are not pressed alike. Sort them by thickness, or press one at a time.`,
      );
    },
  },
  {
    id: 'split-needs-lower-heat',
    field: 'temperature',
    level: 'hold',
    evaluate: ({ print: { choices }, press }) =>
      when(
        choices.heat === 'split' && press.lower === null,
        () => phrase`Split heat wants a heated lower platen, and ${press.name} has none.`,
      ),
  },
];
