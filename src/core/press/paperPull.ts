/** The paper-pull test: four slips at the corners, each half in the press, say how hard it closes and whether the platens lie parallel. */
import { isHandHeld, type Press } from './press';

export const CORNERS = ['back left', 'back right', 'front left', 'front right'] as const;
export type Corner = (typeof CORNERS)[number];

/** How a slip comes out of the closed press, lightest first. */
export const PULLS = ['slides free', 'drags', 'moves by a steady pull', 'will not move'] as const;
export type Pull = (typeof PULLS)[number];

/** Contact pressure behind a pull, kPa. */
const PULL_KPA: Record<Pull, { low: number; high: number }> = {
  'slides free': { low: 0, high: 8 },
  drags: { low: 8, high: 20 },
  'moves by a steady pull': { low: 20, high: 33 },
  'will not move': { low: 25, high: 60 },
};
const WORDS: Record<Pull, string> = {
  'slides free': 'under light',
  drags: 'light to medium',
  'moves by a steady pull': 'medium to firm',
  'will not move': 'firm or more',
};

export interface PaperPull {
  /** What the four corners agree on, kPa, and in words. */
  lowKPa: number;
  highKPa: number;
  words: string;
  parallel: boolean;
  /** Corners that close lighter than the tightest. */
  loose: Corner[];
  /** Where the platens are further apart, when a whole side is. */
  side: 'back' | 'front' | 'left' | 'right' | null;
}

/** What the last slips pulled at a press told, and on which day. */
export interface FoundSlips extends PaperPull {
  pressId: string;
  on: string;
}

/** A paper pull holds this long, days: linkages wear and are turned. */
const HOLDS_DAYS = 90;

/**
 * Whether the slips are to be pulled again. A press held by hand, and one for caps, has no corners to pull at.
 *
 * @param days since they were last; null: never
 */
export const paperPullDue = (press: Pick<Press, 'kind'>, days: number | null): boolean =>
  !isHandHeld(press) && press.kind !== 'cap' && (days === null || days > HOLDS_DAYS);

/** What a slip does in a press that closes as a band asks, kPa of its middle. */
export function pullAt(kPa: number): Pull {
  const moves = PULLS.filter((pull) => pull !== 'will not move' && PULL_KPA[pull].low <= kPa && kPa <= PULL_KPA[pull].high);
  return moves.at(-1) ?? 'will not move';
}

const SIDES = ['back', 'front', 'left', 'right'] as const;

/** Reads a test: the loosest corner gives the band, and corners that differ say where the platens are not parallel. */
export function readPaperPull(pulls: Record<Corner, Pull>): PaperPull {
  const rank = (corner: Corner) => PULLS.indexOf(pulls[corner]);
  const least = Math.min(...CORNERS.map(rank));
  const most = Math.max(...CORNERS.map(rank));
  const loose = CORNERS.filter((corner) => rank(corner) < most);
  const loosest = PULLS[least] as Pull;
  const { low, high } = PULL_KPA[loosest];
  const side =
    SIDES.find((side) => {
      const on = CORNERS.filter((corner) => corner.includes(side));
      return loose.length === on.length && on.every((corner) => loose.includes(corner));
    }) ?? null;
  return { lowKPa: low, highKPa: high, words: WORDS[loosest], parallel: least === most, loose, side };
}
