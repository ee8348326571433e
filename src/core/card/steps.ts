/** The hands' steps of a card as data, in the order they are done: each with when it is needed and the safety line that belongs to it. */
import { COVER_SHEETS } from '../heat';
import { isBrittle, isHard, nominalOf, type Peel, type Position, stageOf } from '../materials';
import { BAND_KPA, isHandHeld, pressOffset } from '../press';
import { contact, line, mm, type Phrase, phrase, seconds, setTemp, temp, tempDiff } from '../units';
import { SPOT_OVERLAP_MM } from './decisions';
import { type Draft, obstructionsUnder, pressOf } from './draft';
import type { ResolveInput } from './input';
import type { Card, Step } from './schema';
import type { SetValues } from './stages';

/** Where the art goes, adult sizes: the distance that is measured, mm, and the words around it. */
const WHERE: Record<Position, { drop: readonly [number, number] | null; says: (drop: Phrase) => Phrase }> = {
  'full front': { drop: [50, 80], says: (drop) => phrase`centred, top of the art ${drop} below the collar seam` },
  'youth front': { drop: [40, 55], says: (drop) => phrase`centred, top of the art ${drop} below the collar seam` },
  'left chest': {
    drop: [175, 200],
    says: (drop) =>
      phrase`art centre ${mm(95)} to ${mm(115)} to the wearer’s left of the centre line, ${drop} below the point where shoulder meets neck`,
  },
  'upper back': { drop: [90, 120], says: (drop) => phrase`centred, top of the art ${drop} below the back collar seam` },
  'full back': { drop: [90, 120], says: (drop) => phrase`centred, top of the art ${drop} below the back collar seam` },
  'neck label': { drop: [15, 30], says: (drop) => phrase`centred, ${drop} below the back collar seam, on the inside` },
  sleeve: { drop: [25, 40], says: (drop) => phrase`centred on the fold, ${drop} above the hem` },
  leg: { drop: [40, 70], says: (drop) => phrase`parallel to the hem, ${drop} above it, ${mm(25)} clear of the side seam` },
  'cap front': { drop: [12, 20], says: (drop) => phrase`centred on the front, ${drop} above the brim seam` },
  bib: { drop: [70, 100], says: (drop) => phrase`centred on the bib, top of the art ${drop} below the top hem` },
  'tote front': { drop: null, says: () => phrase`centred, top of the art a quarter of the height below the top hem` },
  'pocket face': { drop: null, says: () => phrase`centred on the pocket, clear of its seams` },
  face: {
    drop: null,
    says: () =>
      phrase`centred on the face, or bled ${{ q: 'length', v: 3, d: 2 }} past the edge; ${{ q: 'length', v: 1.5, d: 2 }} inside a bevel`,
  },
};

/** Tall art sits nearer the collar, mm. */
const TALL_ART = { overMm: 330, drop: [20, 40] } as const;

const PEEL_WORDS: Record<Exclude<Peel, 'none'>, Phrase> = {
  hot: phrase`Peel at once, within ${seconds(3)} of opening, while it is hot`,
  warm: phrase`Take it off the press and wait until it is warm but bearable to touch, about ${seconds(30)}, then peel`,
  cold: phrase`Take it off the press, lay it flat and wait until no warmth is left, then peel`,
};

const BURNS = phrase`Platen, base and fresh carriers are at cooking temperature: wear gloves or finger guards.`;
const PINCH = phrase`Keep both hands clear as it closes, and never leave a closed hot press alone.`;
const STEAM = phrase`Steam may come out as it opens: stand back from the gap.`;
const SMOKE = phrase`Smoke, a sharp smell or sticky melt: open, switch off, ventilate.`;

/** Pressure in the press's own terms, with how sure it is. */
export function pressureWords(pressName: string, pressure: Card['set']['pressure']): Phrase {
  const { setting, band } = pressure;
  const doubt = setting.sure === 'measured' ? '' : setting.sure === 'guess' ? ' (a guess)' : ' (beyond what was measured)';
  switch (setting.gauge) {
    case 'dial':
      return phrase`${band}, dial ${setting.reading.toFixed(1)}${doubt}`;
    case 'air':
      return phrase`${band}, ${line(setting.lineKPa)} in the line of ${pressName}${doubt}`;
    case 'feel':
      return phrase`${band}, by feel${doubt}`;
  }
}

function mirrorWords(mirror: Card['set']['mirror']): Phrase {
  switch (mirror) {
    case 'mirrored':
      return phrase`An R on the sheet must read backwards.`;
    case 'as read':
      return phrase`An R on the sheet must read as in a book.`;
    case 'by the supplier':
      return phrase`The supplier has printed it the way it must lie: check one sheet by its lettering.`;
    case 'by the printer path':
      return phrase`The printer’s own path decides: print one R, marry it, and look before the stack is printed.`;
  }
}

interface Context {
  input: ResolveInput;
  draft: Draft;
  set: Card['set'];
  values: SetValues;
}

/** One step as data. */
export interface StepRule {
  id: string;
  says: (context: Context) => Phrase | null;
  safety?: (context: Context) => Phrase | null;
}

/** Distance to measure, by the house's way of telling it. */
function dropWords({ input: { print, house } }: Context): Phrase {
  const where = WHERE[print.position];
  if (where.drop === null) return where.says(phrase``);
  const tall = house.rules.drop === 'tall art' && where.drop[0] === 50 && print.heightMm > TALL_ART.overMm;
  const [low, high] = tall ? TALL_ART.drop : where.drop;
  const { fingerMm } = house.figures;
  const drop = phrase`${mm(low)} to ${mm(high)}`;
  if (house.rules.drop !== 'fingers') return where.says(drop);
  return where.says(phrase`${(low / fingerMm).toFixed(1)} to ${(high / fingerMm).toFixed(1)} finger-widths (${drop})`);
}

const CENTRE = {
  crease: phrase`Fold it down the middle and press a crease to lay by.`,
  ruler: phrase`Find the middle with a ruler or a printed guide.`,
  eye: phrase`Centre it by eye, and look again from a step back.`,
} as const;

const needs = (met: boolean, says: Phrase): Phrase | null => (met ? says : null);
const marries = ({ draft }: Context) => draft.marry !== null;

/** Everything the hands do, in order. A step that is not needed says nothing. */
export const STEPS: readonly StepRule[] = [
  {
    id: 'check-the-piece',
    says: ({ input: { blank, item } }) =>
      phrase`Check the piece: ${blank.name}, ${blank.colour}, ${item.size}. ${blank.printable === 'outside' ? 'Roll the lint off.' : `The print goes on ${blank.printable}.`}`,
  },
  {
    id: 'check-the-parcel',
    says: ({ input: { product } }) =>
      needs(
        product.mirroring === 'by the supplier',
        phrase`Check the parcel against the order: art, size, count, colour. Try anything doubtful on scrap.`,
      ),
  },
  {
    id: 'follow-the-roster',
    says: ({ input: { item } }) => {
      const [first] = item.roster;
      return first
        ? phrase`${String(item.roster.length)} pieces, each its own: lay the sheets out in the roster’s order, ${[first.number, first.name].filter(Boolean).join(' ')} first.`
        : null;
    },
  },
  {
    id: 'law-for-children',
    says: ({ input: { blank } }) =>
      needs(
        blank.notices.includes('for children'),
        phrase`Made for children: laws of their own apply to trims and labels. Look them up where you sell; this card does not decide it.`,
      ),
  },
  {
    id: 'law-for-neck-labels',
    says: ({ input: { print } }) =>
      needs(
        print.position === 'neck label',
        phrase`A neck label has its own legal contents (fibres, care, maker) where you sell. Look them up; this card does not decide it.`,
      ),
  },
  {
    id: 'law-for-food',
    says: ({ input: { blank } }) =>
      needs(
        blank.notices.includes('food or drink'),
        phrase`Food or drink may touch it: rules of their own apply. Keep the print off that side, and ask the transfer’s maker.`,
      ),
  },
  {
    id: 'set-the-press',
    says: ({ input: { press }, draft, set }) => {
      const { offsetK, measured } = pressOffset(press);
      const reads = measured && Math.abs(offsetK) >= 0.5 ? phrase` Its surface then reads ${temp(set.tempC + offsetK)}.` : phrase``;
      const upper = draft.split ? 'the upper platen of ' : '';
      return phrase`Set ${upper}${press.name} to ${setTemp(set.tempC, press.set.unit)} and let it settle.${reads}`;
    },
    safety: () => BURNS,
  },
  {
    id: 'set-the-lower-platen',
    says: ({ input: { press }, set }) =>
      set.lowerC === null
        ? null
        : phrase`Set the lower platen to ${setTemp(set.lowerC, press.set.unit)}, with no pad on it. Any mark will be inside.`,
    safety: () => BURNS,
  },
  {
    id: 'set-the-pressure',
    says: ({ input: { press }, set }) => {
      const kpa = BAND_KPA[set.pressure.band];
      return phrase`Set the pressure: ${pressureWords(press.name, set.pressure)}. That is ${contact(kpa.low)} to ${contact(kpa.high)} where it touches; read it during the pre-press, with the piece on.`;
    },
  },
  {
    id: 'set-the-timers',
    says: ({ input: { press }, draft }) => {
      const second = draft.finish?.sheet?.timer === 2 && press.timers === 2;
      return needs(second, phrase`Timer 1: ${seconds(draft.timeS)}. Timer 2: ${seconds(draft.finish?.timeS ?? 0)}.`);
    },
  },
  {
    id: 'put-the-platen-in',
    says: ({ draft }) => (draft.platen.name === null ? null : phrase`Put the ${draft.platen.name} in.`),
    safety: () => phrase`Change a platen cold, by the press maker’s instructions.`,
  },
  {
    id: 'warm-the-base',
    says: (context) =>
      phrase`Close the press empty for ${marries(context) ? 'some minutes: a hot marry-peel needs heat from below' : 'half a minute, so that a cold base does not rob the first piece'}.`,
    safety: () => PINCH,
  },
  {
    id: 'try-on-scrap',
    says: ({ draft }) => {
      const { min, max } = pressOf(draft).timeS;
      return needs(
        draft.trial,
        phrase`Try first: weeded scrap of the same film on a strip of the same cloth, ${seconds(min)}, then ${seconds(Math.max(1, Math.round((max - min) / 5)))} more each time up to ${seconds(max)}. A fresh scrap each time, for a second press flattens it. Keep the best.`,
      );
    },
  },
  {
    id: 'marry-the-sheets',
    says: ({ input: { press }, draft, values }) => {
      const { marry } = draft;
      if (!marry) return null;
      const at = values.marry === values.press ? phrase`` : phrase` at ${setTemp(values.marry, press.set.unit)}`;
      return phrase`Marry: printed sheet and adhesive sheet face to face, nothing else in the press. Close${at}, ${seconds(nominalOf(marry.timeS))}, ${marry.pressure.band}.`;
    },
    safety: () => phrase`${PINCH} Heat-reactive glue and printed sheets: follow the maker’s safety data sheet, and ventilate.`,
  },
  {
    id: 'part-the-sheets',
    says: (context) =>
      needs(
        marries(context),
        phrase`Lift the cover, wait a breath with the sheet still lying on the warm base, then part the two: ease in, let it run, ease off.`,
      ),
    safety: () => BURNS,
  },
  {
    id: 'trim-the-rim',
    says: ({ draft }) => needs(draft.trim === 'rim', phrase`Trim the rim of the married sheet; leave a corner long as a peel tab.`),
  },
  { id: 'trim-the-carrier', says: ({ draft }) => needs(draft.trim === 'carrier', phrase`Trim the spare tape round the stones.`) },
  {
    id: 'cut-apart',
    says: ({ draft }) => needs(draft.trim === 'two-up', phrase`Cut the two-up sheets apart, with a corner left long as a peel tab.`),
  },
  {
    id: 'take-the-backing-off',
    says: ({ input: { product } }) =>
      needs(
        product.facing === 'face up' && product.carrier === 'none' && product.familyId !== 'heat-glued-patch',
        phrase`Take its backing off.`,
      ),
  },
  { id: 'lay-the-mask', says: ({ draft }) => needs(draft.mask, phrase`Lay the mask over the weeded parts and lift them in one piece.`) },
  {
    id: 'cut-patches-safely',
    says: ({ input: { product } }) =>
      needs(product.familyId === 'heat-glued-patch', phrase`Check the patches: cut clean, glue side whole.`),
    safety: () =>
      phrase`Cutting patches by laser: never vinyl, never leather-look of unknown kind, never chrome-tanned leather. Extraction on, eyes protected, never unattended; by the machine maker’s instructions.`,
  },
  {
    id: 'clean-the-hard-blank',
    says: ({ input: { fabric } }) =>
      needs(
        isBrittle(fabric) || fabric.substrate === 'metal',
        phrase`Clean the face with a lint-free cloth and alcohol, and let it dry: a fingerprint shows for ever.`,
      ),
    safety: () => phrase`Alcohol burns: clean well away from the hot press, with the window open, and wait until it is dry.`,
  },
  {
    id: 'turn-the-hole-up',
    says: ({ input: { blank } }) =>
      needs(
        blank.obstructions.some((one) => one.kind === 'hanging hole'),
        phrase`Hanging hole the right way: check which end is up before the print goes down.`,
      ),
  },
  {
    id: 'clear-the-underside',
    says: ({ input: { blank } }) => {
      const loose = blank.obstructions
        .filter((one) => ['strap', 'buckle', 'drawcord', 'rivet', 'button', 'zip'].includes(one.kind))
        .map((one) => one.kind);
      return loose.length === 0 ? null : phrase`Keep ${loose.join(', ')} out from under the print and off the base.`;
    },
  },
  {
    id: 'smooth-the-lining',
    says: ({ input: { blank } }) => needs(blank.lined, phrase`Pull the lining clear or smooth it: a fold in it presses through.`),
  },
  {
    id: 'base-and-pads',
    says: ({ input: { blank, print, fabric }, draft }) => {
      const high = obstructionsUnder({ blank, print })
        .map((one) => one.kind)
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
      return phrase`${base}${pad}${high !== '' ? ` Mind the ${high}.` : isHard(fabric) ? '' : ' Keep collar, seams and pockets off the pressed area.'}`;
    },
  },
  {
    id: 'load-it',
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
  {
    id: 'protect-the-first-print',
    says: ({ input: { item }, draft }) =>
      needs(
        draft.protectFirst,
        phrase`Slip sheet between the ${item.before[0]?.position ?? ''} and the base: the first print softens again.`,
      ),
  },
  {
    id: 'several-in-one-closing',
    says: ({ input: { item } }) =>
      needs(item.perClosing > 1, phrase`${String(item.perClosing)} in one closing: all of one thickness, spread evenly about the middle.`),
  },
  {
    id: 'pre-press',
    says: ({ input: { fabric }, draft }) =>
      draft.prePressS === 0
        ? null
        : isHard(fabric)
          ? phrase`Warm the blank ${seconds(draft.prePressS)} under the pad.`
          : phrase`Pre-press ${seconds(draft.prePressS)} with nothing on it, to drive out damp and creases.`,
    safety: ({ input: { fabric } }) => (isHard(fabric) ? PINCH : phrase`${PINCH} ${STEAM}`),
  },
  {
    id: 'tack-lower-layers',
    says: ({ input: { under, house }, draft }) =>
      under.length === 0
        ? null
        : phrase`${under.map((product) => product.name).join(', then ')}: lay, ${house.rules.layers === 'full' ? 'press' : 'tack'} ${seconds(draft.tackS)}, peel ${under.map((product) => stageOf(product, 'press')?.peel ?? 'warm').join(', ')}. Let the next overlap it by ${{ q: 'length', v: 0.3, d: 2 }} to ${{ q: 'length', v: 0.6, d: 2 }}.`,
    safety: () => BURNS,
  },
  {
    id: 'place-it',
    says: (context) => phrase`Place ${context.input.print.artName}: ${dropWords(context)}. ${mirrorWords(context.set.mirror)}`,
  },
  { id: 'find-the-centre', says: ({ input: { house, fabric } }) => (isHard(fabric) ? null : CENTRE[house.rules.centre]) },
  {
    id: 'tape-it',
    says: ({ input: { fabric, product } }) =>
      product.facing === 'face up'
        ? null
        : fabric.leather?.undyed
          ? phrase`Undyed leather keeps marks of tape and water: short tape at two ends only, dry hands.`
          : phrase`Heat-proof tape at two corners, clear of the print.`,
  },
  {
    id: 'emboss-from-the-back',
    says: ({ input: { print }, draft }) =>
      needs(
        print.embossed,
        phrase`Tack the film over the high-build layer ${seconds(draft.tackS)}, turn the piece over, and press from the back.`,
      ),
    safety: () => BURNS,
  },
  { id: 'lay-the-cover', says: ({ set }) => (set.cover === null ? null : phrase`Lay the ${COVER_SHEETS[set.cover].name} over it.`) },
  {
    id: 'press-it',
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
    says: ({ input: { product } }) =>
      needs(product.static && product.carrier === 'film', phrase`Open slowly: the film carrier is charged and may lift the print.`),
  },
  { id: 'rub-it-down', says: ({ draft }) => needs(draft.rub, phrase`While it is hot, rub it down under a cloth.`), safety: () => BURNS },
  {
    id: 'move-it-with-its-sheet',
    says: ({ draft }) => needs(draft.peel === 'warm' || draft.peel === 'cold', phrase`Move it off the press with its sheet still on it.`),
    safety: ({ input: { fabric } }) =>
      isBrittle(fabric) ? phrase`Hot ${fabric.name}: set it on wood or cloth, never on metal, where it may crack.` : BURNS,
  },
  {
    id: 'peel-it',
    says: ({ input: { fabric }, draft }) =>
      draft.peel === 'none'
        ? null
        : phrase`${PEEL_WORDS[draft.peel]}: low, steady, one way${fabric.stretchPercent > 0 ? ', along the rib' : ''}. If it lifts, lay it back and press again.`,
    safety: () => BURNS,
  },
  {
    id: 'finish-it',
    says: ({ input: { press }, draft, values }) => {
      if (!draft.finish) return null;
      const at = values.finish === values.press ? phrase`` : phrase` at ${setTemp(values.finish, press.set.unit)}`;
      return phrase`Press again${at} ${seconds(draft.finish.timeS)} under ${COVER_SHEETS[draft.finish.cover].name}.`;
    },
    safety: () => PINCH,
  },
  {
    id: 'finish-if-proud',
    says: ({ input: { fabric }, draft }) =>
      needs(
        !draft.finish && draft.peel !== 'none' && !isHard(fabric),
        phrase`Only if an edge looks proud: press again ${seconds(5)} under plain paper.`,
      ),
  },
  { id: 'cool-under-a-weight', says: ({ draft }) => needs(draft.weight, phrase`Cool it under a flat weight, or it curls.`) },
  {
    id: 'cool-brittle-slowly',
    says: ({ input: { fabric }, draft }) =>
      needs(isBrittle(fabric) && !draft.weight, phrase`Let it cool by itself on wood or cloth. No water, no cold metal.`),
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
    says: ({ input: { fabric } }) =>
      phrase`Look it over: edges down, ${isHard(fabric) ? 'no bubbles' : 'no shine beside the art'}, straight, the right way round.`,
  },
  {
    id: 'batch-by-house',
    says: ({ input: { house }, draft }) =>
      house.rules.batch === 'step' && draft.marry !== null
        ? phrase`House rule: step by step. All prints, all marries, all presses, all peels.`
        : null,
  },
  {
    id: 'do-not-chase-the-readout',
    says: ({ input: { press } }) => {
      const { offsetK, measured } = pressOffset(press);
      return needs(
        offsetK !== 0 && measured,
        phrase`The readout of this press is ${tempDiff(Math.abs(offsetK))} ${offsetK > 0 ? 'under' : 'over'} its surface. Do not chase it.`,
      );
    },
  },
  {
    id: 'hand-over-with-care',
    says: ({ input: { blank, product } }) =>
      needs(blank.duty !== 'looked at' && product.care !== '', phrase`Hand it over with its care: ${product.care}`),
  },
];

/** The steps a piece needs, in order. */
export function stepsOf(context: Context, steps: readonly StepRule[]): Step[] {
  return steps.flatMap((step): Step[] => {
    const says = step.says(context);
    if (says === null) return [];
    const safety = step.safety?.(context) ?? null;
    return [safety === null ? { says } : { says, safety }];
  });
}
