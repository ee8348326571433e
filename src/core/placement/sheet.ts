/** What the placement sheet draws: the platen where it lies on the panel, and the tapes that are laid. Panel frame, mm. */

import type { Box } from './box';
import { middleOf, type Point, point, type Ring, rect, type Turn, turned } from './geometry';
import type { Lay, Sides } from './lays';
import type { LayMeasure, Placement } from './place';

const back = (turn: Turn): Turn => ((360 - turn) % 360) as Turn;

/** A rectangle about the platen’s middle as it lies on the panel. */
export function platenOn(box: Box, { xMm, yMm, turn }: Lay, { widthMm, heightMm }: Sides): Ring {
  const art = middleOf(box);
  return rect(-widthMm / 2, -heightMm / 2, widthMm, heightMm).map((corner) => {
    const p = turned(point(corner.x - xMm, corner.y - yMm), back(turn));
    return point(art.x + p.x, art.y + p.y);
  });
}

/** The lay when the art is shifted on the piece and the piece stays where it lies. */
export function layAfter({ xMm, yMm, turn }: Lay, shift: { xMm: number; yMm: number }): Lay {
  const p = turned(point(shift.xMm, shift.yMm), turn);
  return { xMm: xMm + p.x, yMm: yMm + p.y, turn };
}

export interface Tape {
  measure: LayMeasure;
  from: Point;
  to: Point;
}

/** The tapes of a placement, from what the hand finds to the art. */
export function tapesOf({ lay, anchorAt, box }: Placement): Tape[] {
  const middle = middleOf(box);
  return lay.map((measure) => {
    if (measure.from === 'centre line') return { measure, from: point(0, middle.y), to: point(middle.x, middle.y) };
    const end = measure.to === 'middle' ? middle.y : measure.to === 'top edge' ? box.topMm : box.topMm + box.heightMm;
    return { measure, from: point(middle.x, anchorAt.y), to: point(middle.x, end) };
  });
}
