/** The lines of a placement guide on paper: the seam it hangs from, the art's box, what is folded or laid square by. */
import type { Guide } from '../../core/placement';
import { type Doc, INK, SOFT } from './pdf';

/** Width, mm of the drawing, and colour of each kind. */
const LINE = { seam: [0.8, INK], art: [0.5, INK], centre: [0.25, SOFT], measure: [0.35, SOFT] } as const;

/** @param thicker times the usual width, for a drawing that is much smaller than life */
export function drawLines(doc: Doc, lines: Guide['lines'], thicker = 1): void {
  for (const { kind, points } of lines) {
    const [first, ...rest] = points;
    if (!first) continue;
    const [width, colour] = LINE[kind];
    doc.lineWidth(width * thicker).strokeColor(colour);
    if (kind === 'centre') doc.dash(6 * thicker, { space: 2 * thicker });
    else if (kind === 'measure') doc.dash(2 * thicker, { space: 1.5 * thicker });
    doc.moveTo(first.x, first.y);
    for (const p of rest) doc.lineTo(p.x, p.y);
    doc.stroke().undash();
  }
}
