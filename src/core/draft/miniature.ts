/** A piece as a small picture: the outline of the side that is printed, in the colour of its cloth, with its prints where they go. */
import type { House } from '../house';
import { type Blank, clothColour, isDarkColour, type Panel } from '../materials';
import type { Line } from '../order';
import { type Box, boundsOf, type Ring, sleevesBeside } from '../placement';
import { placed } from './pose';

export interface Miniature {
  panel: Panel;
  /** The piece, and what hangs beside the printed side: sleeves; mm. */
  outlines: Ring[];
  /** Where each print of that side lies, mm. */
  prints: Box[];
  /** `#rrggbb`; null: it is clear. */
  colour: string | null;
}

/** @returns null: it has no print, or nobody can say where its first one lies */
export function miniatureOf(line: Pick<Line, 'size' | 'prints'>, blank: Blank, house: House): Miniature | null {
  const lying = line.prints.flatMap((print) => placed({ print, item: line, blank, house }).placement ?? []);
  const [first] = lying;
  if (!first) return null;
  const { panel, outline, measures } = first;
  const sleeves = panel === 'front' || panel === 'back' ? sleevesBeside(measures) : [];
  return {
    panel,
    outlines: [...sleeves, outline],
    prints: lying.filter((other) => other.panel === panel).map(({ box }) => box),
    colour: clothColour(blank.colour, blank.shade),
  };
}

/** Side of the picture, in its own units. */
const SIDE = 48;
const EDGE = 2;
const INK = '#6b7480';

/** As an SVG that reads on paper and on the dark: 48 units square. */
export function miniatureSvg({ outlines, prints, colour }: Miniature): string {
  const { leftMm, topMm, widthMm, heightMm } = boundsOf(outlines.flat());
  const scale = (SIDE - 2 * EDGE) / Math.max(widthMm, heightMm);
  const n = (units: number) => String(Math.round(units * 10) / 10);
  const x = (mm: number) => n(SIDE / 2 + (mm - leftMm - widthMm / 2) * scale);
  const y = (mm: number) => n(SIDE / 2 + (mm - topMm - heightMm / 2) * scale);
  const cloth = colour ?? 'none';
  const art = colour && isDarkColour(colour) ? '#ffffff' : '#18222b';
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${SIDE} ${SIDE}">`,
    `<g fill="${cloth}" stroke="${INK}" stroke-width="1" stroke-linejoin="round"${colour ? '' : ' stroke-dasharray="2 1.5"'}>`,
    ...outlines.map((ring) => `<path d="M${ring.map((p) => `${x(p.x)} ${y(p.y)}`).join('L')}Z"/>`),
    '</g>',
    `<g fill="${art}" fill-opacity="0.25" stroke="${art}" stroke-width="1">`,
    ...prints.map(
      (box) =>
        `<rect x="${x(box.leftMm)}" y="${y(box.topMm)}" width="${n(Math.max(1.5, box.widthMm * scale))}" height="${n(Math.max(1.5, box.heightMm * scale))}"/>`,
    ),
    '</g>',
    '</svg>',
  ].join('');
}
