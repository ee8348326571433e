/** The passage itself: layers, placing, pressing, peeling, finishing, looking it over. */

import { type Draft, layerName, layersOf, SPOT_OVERLAP_MM, tackOf } from '../../draft';
import { COVER_SHEETS } from '../../heat';
import { byHouse } from '../../house';
import type { SetValues } from '../../judgement';
import { cracksByShock, isBrittle, isHard } from '../../materials';
import { isHandHeld, type Press, pressOffset } from '../../press';
import type { Peel } from '../../sheet';
import { mm, type Phrase, phrase, seconds, setTemp, tempDiff } from '../../units';
import { peelSpan, spanWords } from '../peelWait';
import { CENTRE, placeWords } from './place';
import { BURNS, type Context, needs, PINCH, SMOKE, type StepRule } from './step';
import { letteringOf, letteringWords } from './words';

/** How and when a peel is done. */
function peelWords({ input, draft, set }: Context, peel: Exclude<Peel, 'none'>): Phrase {
  if (peel === 'hot') return phrase`Peel at once, within ${seconds(3)} of opening, while it is hot`;
  const span = peelSpan(input, draft, peel, { setC: set.tempC, lowerC: set.lowerC, timeS: set.timeS });
  const when = span ? phrase`, ${spanWords(span, draft)}` : phrase``;
  return peel === 'warm'
    ? phrase`Wait until it is warm but bearable to touch${when}; then peel`
    : phrase`Lay it flat and wait until no warmth is left${when}; then peel`;
}

const PULL_WORDS: Record<Exclude<Peel, 'none'>, string> = {
  hot: 'open',
  warm: 'wait until it is warm but bearable to touch',
  cold: 'wait until no warmth is left',
};

/** How long each lower layer is pressed; one figure where all are alike. */
const tackWords = (draft: Draft): Phrase => {
  const times = draft.under.map((_, i) =>
    draft.fullS[i] ? phrase`${seconds(tackOf(draft, i))} in full` : phrase`${seconds(tackOf(draft, i))}`,
  );
  const alike = new Set(times.map((words) => JSON.stringify(words))).size === 1;
  return (alike ? times.slice(0, 1) : times).reduce((all, next) => phrase`${all}, then ${next}`);
};

/** What lower layers are tacked at, where that is not the press stage's. */
const tackHeat = ({ tack, press }: SetValues, { set }: Press): Phrase => {
  const heats = [...new Set(tack)];
  return heats.every((tempC) => tempC === press)
    ? phrase``
    : phrase` at ${heats.map((tempC) => phrase`${setTemp(tempC, set.unit)}`).reduce((all, next) => phrase`${all}, then ${next}`)}`;
};

export const PASSAGE_STEPS: readonly StepRule[] = [
  {
    id: 'tack-lower-layers',
    says: ({ input, input: { house, press }, draft, values }) =>
      draft.under.length === 0
        ? null
        : phrase`${layersOf(input).slice(0, -1).map(layerName).join(', then ')}: lay, ${byHouse(house, 'layers', { tack: false, full: true }) ? 'press' : 'tack'} ${tackWords(draft)}${tackHeat(values, press)}, peel ${draft.under.map(({ press }) => press.peel).join(', ')}. Let the next overlap it by ${{ q: 'length', v: 0.3, d: 2 }} to ${{ q: 'length', v: 0.6, d: 2 }}.`,
    safety: () => BURNS,
  },
  {
    id: 'place-it',
    at: 'place',
    says: (context) => phrase`Place ${context.input.print.artName}: ${placeWords(context.input)}.`,
  },
  { id: 'look-at-the-lettering', says: ({ layers, set }) => letteringWords(letteringOf({ of: { layers }, set })) },
  { id: 'find-the-centre', says: ({ input: { house, fabric } }) => (isHard(fabric) ? null : CENTRE[house.rules.centre]) },
  {
    id: 'tape-it',
    at: 'place',
    says: ({ input: { fabric, product, under } }) =>
      [...under, product].every(({ facing }) => facing === 'face up')
        ? null
        : fabric.leather?.undyed
          ? phrase`Undyed leather keeps marks of tape and water: short tape at two ends only, dry hands.`
          : phrase`Heat-proof tape at two corners, clear of the print.`,
  },
  {
    id: 'emboss-from-the-back',
    at: 'turn over',
    says: ({ input: { print }, draft }) =>
      needs(
        print.embossed,
        phrase`Tack the film over the high-build layer ${seconds(draft.embossTackS)}, turn the piece over, and press from the back.`,
      ),
    safety: () => BURNS,
  },
  {
    id: 'lay-the-cover',
    at: 'place',
    says: ({ set }) => (set.cover === null ? null : phrase`Lay the ${COVER_SHEETS[set.cover].name} over it.`),
  },
  {
    id: 'press-it',
    at: 'press',
    says: ({ input: { press }, draft }) =>
      isHandHeld(press) && draft.spots > 1
        ? phrase`Spot by spot, ${String(draft.spots)} times ${seconds(draft.timeS)}, each timed, overlapping by ${mm(SPOT_OVERLAP_MM)}; do not slide.`
        : phrase`${isHandHeld(press) ? 'Press down evenly' : 'Close'}, ${seconds(draft.timeS)}, ${press.opensItself ? 'it opens by itself' : 'open'}.`,
    safety: ({ input: { fabric } }) =>
      isBrittle(fabric)
        ? phrase`${PINCH} ${fabric.name} may break under pressure: eyes protected, platens parallel, start at the light end of the band.`
        : phrase`${PINCH} ${SMOKE}`,
  },
  {
    id: 'open-slowly',
    at: 'open',
    says: ({ input: { product } }) =>
      needs(product.static && product.carrier === 'film', phrase`Open slowly: static in the film carrier may lift the print.`),
  },
  {
    id: 'rub-it-down',
    at: 'rub',
    says: ({ draft }) => needs(draft.rub, phrase`While it is hot, rub it down under a cloth.`),
    safety: () => BURNS,
  },
  {
    id: 'move-it-with-its-sheet',
    at: 'open',
    says: ({ draft }) =>
      draft.coolsOn === 'weight'
        ? phrase`Move it off the press and lay a flat weight on it at once, with its sheet still on: it curls as it cools.`
        : needs(draft.peel === 'warm' || draft.peel === 'cold', phrase`Move it off the press with its sheet still on it.`),
    safety: ({ input: { fabric } }) =>
      cracksByShock(fabric) ? phrase`Hot ${fabric.name}: set it on wood or cloth, never on metal, where it may crack.` : BURNS,
  },
  {
    id: 'peel-it',
    at: 'peel',
    says: (context) => {
      const { peel } = context.draft;
      if (peel === 'none') return null;
      const along = context.input.fabric.stretchPercent > 0 ? ', along the rib' : '';
      return phrase`${peelWords(context, peel)}, low and steady, one way${along}. If it lifts, lay it back and press again.`;
    },
    safety: () => BURNS,
  },
  {
    id: 'lift-the-mask',
    at: 'peel',
    says: ({ draft }) =>
      draft.mask === null || draft.mask === 'none'
        ? null
        : phrase`Lift the mask ${draft.mask}, low and steady. If a part comes up with it, lay it back and press again.`,
    safety: () => BURNS,
  },
  {
    id: 'finish-it',
    at: 'finish',
    says: ({ input: { press }, draft, values }) => {
      if (!draft.finish) return null;
      const at = values.finish === values.press ? phrase`` : phrase` at ${setTemp(values.finish, press.set.unit)}`;
      return phrase`Press again${at} ${seconds(draft.finish.timeS)} under ${COVER_SHEETS[draft.finish.cover].name}.`;
    },
    safety: () => PINCH,
  },
  {
    id: 'pull-the-cover',
    at: 'pull',
    says: ({ draft: { finish } }) =>
      !finish || finish.pull === 'none'
        ? null
        : phrase`The ${COVER_SHEETS[finish.cover].name} stays on: ${PULL_WORDS[finish.pull]}, then pull it low and steady.`,
    safety: () => BURNS,
  },
  {
    id: 'finish-if-proud',
    at: 'inspect',
    says: ({ input: { fabric, product }, draft }) =>
      needs(
        !draft.finish && draft.peel !== 'none' && !isHard(fabric) && product.secondPress === 'fine',
        phrase`Only if an edge stands up: press again ${seconds(5)} under plain paper.`,
      ),
  },
  {
    id: 'cool-under-a-weight',
    at: 'cool',
    says: ({ draft }) => needs(draft.weight && draft.coolsOn !== 'weight', phrase`Cool it under a flat weight, or it curls.`),
  },
  {
    id: 'cool-brittle-slowly',
    at: 'cool',
    says: ({ input: { fabric } }) => needs(cracksByShock(fabric), phrase`Let it cool by itself on wood or cloth. No water, no cold metal.`),
    safety: () => phrase`Glass and stone hold their heat for tens of minutes and do not look hot.`,
  },
  {
    id: 'take-a-wrong-print-off',
    says: ({ input: { fabric } }) =>
      needs(
        fabric.substrate === 'glass' || fabric.substrate === 'mirror',
        phrase`A wrong print comes off glass with solvent, once it is cold.`,
      ),
    safety: () => phrase`Solvent vapour burns: well away from the hot press, ventilate, gloves, by the solvent’s safety data sheet.`,
  },
  {
    id: 'look-it-over',
    at: 'inspect',
    says: ({ input: { fabric } }) =>
      phrase`Look it over: edges down, ${isHard(fabric) ? 'no bubbles' : 'no shine beside the art'}, straight, the right way round.`,
  },
  {
    id: 'batch-by-house',
    says: ({ input: { house }, draft }) =>
      byHouse(house, 'batch', { piece: false, step: true }) && draft.marry !== null
        ? phrase`House rule: step by step. All prints, all marries, all presses, all peels.`
        : null,
  },
  {
    id: 'do-not-chase-the-readout',
    says: ({ input: { press } }) => {
      const { offsetK, measured } = pressOffset(press);
      return needs(
        offsetK !== 0 && measured,
        phrase`The readout of this press is ${tempDiff(Math.abs(offsetK))} ${offsetK > 0 ? 'under' : 'over'} its surface. Leave it set as it is.`,
      );
    },
  },
  {
    id: 'hand-over-with-care',
    says: ({ input: { blank, product } }) =>
      needs(blank.duty !== 'looked at' && product.care !== '', phrase`Hand it over with its care: ${product.care}`),
  },
];
