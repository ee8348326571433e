/** The guide as an SVG of its true size. */
import type { Guide, GuideLine } from './guide';

const STROKE: Record<GuideLine['kind'], string> = {
  seam: 'stroke-width="0.8"',
  art: 'stroke-width="0.5"',
  centre: 'stroke-width="0.25" stroke-dasharray="6 2 1 2"',
  measure: 'stroke-width="0.35" stroke-dasharray="2 1.5"',
};
const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');
const n = (mm: number): string => String(Math.round(mm * 1000) / 1000);

export function guideSvg({ widthMm, heightMm, lines, texts }: Guide): string {
  const drawn = lines.map(
    ({ kind, points }) =>
      `<polyline data-kind="${kind}" points="${points.map(({ x, y }) => `${n(x)},${n(y)}`).join(' ')}" ${STROKE[kind]}/>`,
  );
  const told = texts.map(({ at, text, sizeMm }) => `<text x="${n(at.x)}" y="${n(at.y)}" font-size="${n(sizeMm)}">${escaped(text)}</text>`);
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(widthMm)}mm" height="${n(heightMm + 12)}mm" viewBox="0 0 ${n(widthMm)} ${n(heightMm + 12)}">`,
    '<g fill="none" stroke="#18222b" stroke-linejoin="round">',
    ...drawn,
    `<polyline data-kind="check bar" points="10,${n(heightMm + 4)} 110,${n(heightMm + 4)}" stroke-width="0.8"/>`,
    '</g>',
    '<g fill="#18222b" font-family="sans-serif">',
    ...told,
    `<text x="10" y="${n(heightMm + 9)}" font-size="3">This bar is 100 mm long. If it measures otherwise, print at full size.</text>`,
    '</g>',
    '</svg>',
    '',
  ].join('\n');
}
