/** Where the print of a card goes on its piece, and how the piece is laid on the platen for it. */

import type { House } from '../house';
import { byHouse } from '../house';
import { type Blank, canBeThreaded, type Fabric, isHard, type Obstruction, UnknownSize } from '../materials';
import { remembered } from '../numerics';
import type { Base, Print } from '../order';
import {
  bestFit,
  type Fit,
  type FitQuery,
  fitAt,
  type InTheWay,
  type Lay,
  layAfter,
  NoSuchPanel,
  type Placement,
  place,
  type Sides,
  TAPE_STEP_MM,
  threadedBetween,
  unplaced,
} from '../placement';
import { isHandHeld, type PlatenMap, type Press } from '../press';

/** Higher things than this do not sink into a pillow, mm. */
export const PILLOW_SINKS_MM = 6;
/** A cold spot is kept off by this, mm. */
const COLD_RADIUS_MM = 25;

export interface Pose {
  /** Null: it cannot be placed, and why. */
  placement: Placement | null;
  fault: { says: string; level: 'care' | 'hold' } | null;
  /** Whether the operator chose the lay. */
  chosen: boolean;
  loading: 'threaded' | 'flat';
  /** The base is too wide to be threaded in, though the house threads. */
  tooWideToThread: boolean;
  /** As it lies on the usual pad, on a pillow, and raised on a pad cut to the art; the last two only where the first does not work. */
  plain: Fit;
  pillow: Fit | null;
  pad: Fit | null;
  /** A smaller platen of the press on which nothing is in the way. */
  smaller: { id: string; name: string } | null;
  /** Raised things that no lay keeps off, and what is listed for the position without a place. */
  inTheWay: InTheWay[];
}

export interface PoseInput {
  print: Print;
  item: { size: string };
  blank: Blank;
  fabric: Fabric;
  press: Press;
  house: House;
  maps?: readonly PlatenMap[];
}

/** Platen in use, mm. */
export function platenOf({ print, press }: Pick<PoseInput, 'print' | 'press'>): Sides {
  const swapped = press.swapPlatens.find((platen) => platen.id === print.choices.platenId);
  return swapped ?? press.platen;
}

const CENTRED: Lay = { xMm: 0, yMm: 0, turn: 0 };

/** Where art goes by the house’s rules, or the words for why it cannot. */
export function placed({
  print,
  item,
  blank,
  house,
}: Pick<PoseInput, 'print' | 'item' | 'blank' | 'house'>): Pick<Pose, 'placement' | 'fault'> {
  try {
    const placement = place({
      blank,
      size: item.size,
      position: print.position,
      art: { widthMm: print.widthMm, heightMm: print.heightMm },
      moved: print.moved,
      crossesSeam: print.crossesSeam,
      tallRule: byHouse(house, 'drop', { ruler: false, fingers: false, 'tall art': true }),
      places: house.places,
      tapeStepMm: TAPE_STEP_MM[house.units.length],
    });
    return { placement, fault: null };
  } catch (error) {
    if (error instanceof NoSuchPanel) return { placement: null, fault: { says: error.message, level: 'hold' } };
    if (error instanceof UnknownSize) return { placement: null, fault: { says: error.message, level: 'care' } };
    throw error;
  }
}

/** What a fit is asked with, on one platen. */
function fitQueryOf(
  { print, press, maps, house, fabric, blank }: PoseInput,
  placement: Placement,
  platen: Sides,
  threaded: boolean,
): FitQuery {
  const map = maps?.find((map) => map.pressId === press.id && map.platen === (print.choices.platenId ?? 'upper'));
  // a cap press is shaped to its piece but for the brim, and an iron is held only where the art is
  const obstacles = isHandHeld(press)
    ? []
    : press.kind === 'cap'
      ? placement.features.filter((feature) => feature.kind === 'brim')
      : placement.features;
  const { base } = print.choices;
  return {
    art: placement.box,
    features: obstacles,
    heated: isHandHeld(press) ? { widthMm: 10_000, heightMm: 10_000 } : platen,
    base: press.base ?? platen,
    threadedBetween:
      threaded && !isHard(fabric) && canBeThreaded(blank.kind) && byHouse(house, 'loading', { threaded: true, flat: false, turned: false })
        ? threadedBetween(placement.measures, placement.panel)
        : null,
    under: base === 'firm pad' ? 'pad' : { sinksMm: base === 'pillow' ? PILLOW_SINKS_MM : 0 },
    bridges: print.crossesSeam,
    keepOff: (map?.cold ?? []).map(({ xMm, yMm }) => ({ xMm, yMm, radiusMm: COLD_RADIUS_MM })),
  };
}

/** The best fit off cold spots if it can be had, else over them; the lay the operator chose as it is. */
function fitOf(query: FitQuery, lay: Lay | undefined): Fit {
  if (lay) return fitAt({ ...query, keepOff: [] }, lay);
  const off = bestFit(query);
  return off.feasible || query.keepOff.length === 0 ? off : bestFit({ ...query, keepOff: [] });
}

function workedOut(input: PoseInput): Pose {
  const { print, press, blank } = input;
  const { placement, fault } = placed(input);
  const chosen = print.lay !== undefined;
  if (!placement) {
    const lay = print.lay ?? CENTRED;
    return {
      placement,
      fault,
      chosen,
      loading: 'flat',
      tooWideToThread: false,
      plain: { feasible: true, lay, clearanceMm: 0 },
      pillow: null,
      pad: null,
      smaller: null,
      inTheWay: [],
    };
  }
  const platen = platenOf(input);
  const threadedQuery = fitQueryOf(input, placement, platen, true);
  const flatQuery = { ...threadedQuery, threadedBetween: null };
  const threaded = fitOf(threadedQuery, print.lay);
  const flat = threadedQuery.threadedBetween === null || threaded.feasible ? threaded : fitOf(flatQuery, print.lay);
  const tooWideToThread = !threaded.feasible && flat.feasible;
  const isFlat = threadedQuery.threadedBetween === null || tooWideToThread;
  const plain = isFlat ? flat : threaded;
  const under = (what: FitQuery['under']): Fit => {
    const inside = fitOf({ ...threadedQuery, under: what }, print.lay);
    return inside.feasible || threadedQuery.threadedBetween === null ? inside : fitOf({ ...flatQuery, under: what }, print.lay);
  };
  const stuck = !plain.feasible && plain.inTheWay.length > 0;
  const smaller =
    stuck && print.choices.base === undefined ? press.swapPlatens.find((platen) => smallerWorks(input, placement, platen)) : undefined;
  const loose =
    press.kind === 'cap'
      ? []
      : unplaced(blank, placement.measures, print.position).map(({ kind, heightMm }: Obstruction) => ({ kind, heightMm }));
  return {
    placement,
    fault,
    chosen,
    loading: isFlat ? 'flat' : 'threaded',
    tooWideToThread,
    plain,
    pillow: stuck ? under({ sinksMm: PILLOW_SINKS_MM }) : null,
    pad: stuck ? under('pad') : null,
    smaller: smaller ? { id: smaller.id, name: smaller.name } : null,
    inTheWay: [...(plain.feasible ? [] : plain.inTheWay), ...loose],
  };
}

/** Whether nothing is in the way on another platen, the lay free again. */
function smallerWorks(input: PoseInput, placement: Placement, platen: Sides): boolean {
  const query = { ...fitQueryOf(input, placement, platen, true), base: platen, keepOff: [] };
  return bestFit(query).feasible || bestFit({ ...query, threadedBetween: null }).feasible;
}

/** Where the art stands and whether it can be pressed there while it is shifted by hand and the piece stays where it lies. */
export function nudged(
  input: PoseInput,
  { loading, ...laid }: Pose,
  moved: { xMm: number; yMm: number },
  /** What the card lays under the print. */
  base?: Base,
): { placement: Placement; fit: Fit } | null {
  const choices = { ...input.print.choices, ...(base && { base }) };
  const asked = { ...input, print: { ...input.print, moved, choices } };
  const { placement } = placed(asked);
  if (!placement) return null;
  const before = input.print.moved ?? { xMm: 0, yMm: 0 };
  const lay = layAfter(layOf({ ...laid, loading }, input.print.lay), { xMm: moved.xMm - before.xMm, yMm: moved.yMm - before.yMm });
  const query = fitQueryOf(asked, placement, platenOf(asked), loading === 'threaded');
  return { placement, fit: fitAt({ ...query, keepOff: [] }, lay) };
}

/**
 * How a piece lies for several designs pressed at once: the middle of all of them under the middle of the platen, or as it was
 * laid by hand, unturned, for the first.
 *
 * @returns the lay of each design; null: one of them cannot be placed
 */
export function laysTogether(inputs: readonly PoseInput[]): Lay[] | null {
  const boxes = inputs.map((input) => placed(input).placement?.box);
  const known = boxes.filter((box) => box !== undefined);
  if (known.length < boxes.length) return null;
  const sides = known.map(({ leftMm, topMm, widthMm, heightMm }) => ({
    left: leftMm,
    right: leftMm + widthMm,
    top: topMm,
    bottom: topMm + heightMm,
  }));
  const middle = (a: 'left' | 'top', b: 'right' | 'bottom') =>
    (Math.min(...sides.map((box) => box[a])) + Math.max(...sides.map((box) => box[b]))) / 2;
  const [x, y] = [middle('left', 'right'), middle('top', 'bottom')];
  const lays = sides.map(({ left, right, top, bottom }) => ({
    xMm: (left + right) / 2 - x,
    yMm: (top + bottom) / 2 - y,
    turn: 0 as const,
  }));
  const [chosen, worked] = [inputs[0]?.print.lay, lays[0]];
  if (!chosen || !worked) return lays;
  const [byX, byY] = [chosen.xMm - worked.xMm, chosen.yMm - worked.yMm];
  return lays.map(({ xMm, yMm, turn }) => ({ xMm: xMm + byX, yMm: yMm + byY, turn }));
}

const answers = remembered<Pose>(4000);

/** Where the art goes and how the piece is laid. */
export function poseOf(input: PoseInput): Pose {
  const { print, item, blank, fabric, press, house, maps } = input;
  const { position, widthMm, heightMm, moved, lay, crossesSeam, choices } = print;
  const cold = maps?.filter((map) => map.pressId === press.id).map((map) => [map.platen, map.cold.map(({ xMm, yMm }) => [xMm, yMm])]);
  const key = JSON.stringify([
    [position, widthMm, heightMm, moved, lay, crossesSeam, choices.platenId, choices.base],
    [item.size, blank.kind, blank.cut, blank.face, blank.obstructions],
    [isHard(fabric), press.kind, press.platen, press.swapPlatens, press.base, cold],
    [house.rules.loading, house.rules.drop, house.units.length, house.places],
  ]);
  return answers(key, () => workedOut(input));
}

/** How far the piece may slip, mm; null: no lay works, or there is nothing to say of it. */
export const clearanceOf = ({ plain, pillow, pad }: Pose): number | null => {
  for (const fit of [plain, pillow, pad]) if (fit?.feasible) return fit.clearanceMm;
  return null;
};

/** The lay to reckon with: the one that works, else as the operator chose it, else the middle. */
export function layOf({ plain, pillow, pad }: Pose, chosen: Lay | undefined): Lay {
  for (const fit of [plain, pillow, pad]) if (fit?.feasible) return fit.lay;
  return chosen ?? CENTRED;
}
