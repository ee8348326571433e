/** Heated from above: what must not be passed, as bounds on the platen's surface, each where the first closing reaches it. */
import { type Closing, closingsOf, type Draft, type PreparedInput, pieceOf, pressOf } from '../draft';
import { COVER_SHEETS, followed, followOf, PADS_OVER, platenFor } from '../heat';
import { lowestForTime } from '../materials';
import type { Press } from '../press';
import { type Phrase, phrase, seconds, temp } from '../units';
import { aimOf, type Bound, platenWords, sheetBounds, windowOf } from '../window';
import type { PressWindow } from './judgement';
import type { Limit } from './limits';

interface Wall {
  surfaceC: number;
  limitC: number;
  /** The doubt of the limit, as it is at the platen, K. */
  sdK: number;
  closing: Closing;
}

/** The lowest platen temperature at which any closing brings a place to its limit. */
function lowestWall(input: PreparedInput, draft: Draft, limit: Limit, closings: readonly Closing[]): Wall | null {
  let low: Wall | null = null;
  for (const closing of closings) {
    if (limit.withTransfer && closing.name === 'pre-press') continue;
    const limitC = lowestForTime(limit.bears, closing.timeS);
    const piece = pieceOf(input, draft, closing);
    const follow = followOf(piece, limit.place === 'inside' ? 'bare' : limit.place);
    const surfaceC = platenFor(follow, piece, limitC, closing.timeS);
    if (low === null || surfaceC < low.surfaceC) low = { surfaceC, limitC, sdK: limit.sdK / followed(follow, closing.timeS), closing };
  }
  return low;
}

const shieldWords = ({ cover, padOver: pad }: Closing): string => {
  const over = [cover && COVER_SHEETS[cover].name, pad && PADS_OVER[pad].name].filter(Boolean).join(' and ');
  return over === '' ? ', bare,' : ` under ${over}`;
};
const underWords = (press: Press, wall: Wall, what: Phrase): Phrase =>
  phrase`${what} at ${temp(wall.limitC)} held ${seconds(wall.closing.timeS)}; in the ${wall.closing.name}${shieldWords(wall.closing)} that is ${platenWords(press, wall.surfaceC, 'platen')}`;

/** Limits as bounds on the platen for a set of closings, each as hard as the draft says. */
function fabricBounds(input: PreparedInput, draft: Draft, limits: readonly Limit[], closings: readonly Closing[]): Bound[] {
  return limits.flatMap((limit): Bound[] => {
    const wall = lowestWall(input, draft, limit, closings);
    if (!wall) return [];
    const { surfaceC, sdK } = wall;
    const says = underWords(input.press, wall, limit.what);
    return [{ side: limit.side, keep: 'below', surfaceC, sdK, ours: false, eased: limit.eased, says }];
  });
}

/** The window of the press stage, heated from above. */
export function windowFromAbove(input: PreparedInput, draft: Draft, limits: readonly Limit[]): PressWindow {
  const { tempC } = pressOf(draft);
  const bounds = [...sheetBounds(tempC), ...fabricBounds(input, draft, limits, closingsOf(input, draft))];
  return {
    lowerC: null,
    window: windowOf(input, bounds, aimOf(tempC), draft.bumpK),
    boundsFor: (closing) => fabricBounds(input, { ...draft, band: closing.band }, limits, [closing]),
  };
}
