/** The lamp's shape on paper: a filled round, a half-filled one, a barred square. */
import type { LampState } from '../../core/window';
import { type Doc, INK } from './pdf';

const FILLS = { clear: '#0b5c62', care: '#e9a227', hold: '#a9341f' } as const;

/** @param size its height, points */
export function lampShape(doc: Doc, state: LampState, x: number, y: number, size: number): void {
  const r = (0.94 * size) / 2;
  const [cx, cy] = [x + size / 2, y + size / 2];
  doc
    .save()
    .lineWidth(size / 13)
    .strokeColor(INK)
    .fillColor(FILLS[state]);
  if (state === 'hold') {
    doc.rect(x, y, size, size).fillAndStroke();
    doc.lineWidth(size / 8).strokeColor('#fbfcfb');
    for (const share of [0.36, 0.64])
      doc
        .moveTo(x, y + share * size)
        .lineTo(x + size, y + share * size)
        .stroke();
  } else if (state === 'clear') doc.circle(cx, cy, r).fillAndStroke();
  else
    doc
      .circle(cx, cy, r)
      .stroke()
      .path(`M${cx} ${cy - r}a${r} ${r} 0 0 1 0 ${2 * r}z`)
      .fillAndStroke();
  doc.restore();
}
