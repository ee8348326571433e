/** The guide to lay art by: a true-scale drawing that hangs from the seam the art is measured from. Lengths in mm, x right, y down. */

import { type Point, point } from './geometry';
import { bodyLines } from './outline';
import type { Placement } from './place';

/** What a line of the guide is: the seam it hangs from, the box of the art, a line to fold or lay square by. */
export type GuideLine = { kind: 'seam' | 'art' | 'centre' | 'measure'; points: readonly Point[] };
export interface GuideText {
  at: Point;
  text: string;
  sizeMm: number;
  /** Its middle stands at the point; otherwise it begins there. */
  centred: boolean;
}
export interface Guide {
  widthMm: number;
  heightMm: number;
  lines: GuideLine[];
  texts: GuideText[];
  /** Where the art’s box lies on the guide. */
  art: { leftMm: number; topMm: number; widthMm: number; heightMm: number };
}

/** Paper left round what is drawn, mm. */
const EDGE_MM = 12;
/** The seam is drawn at least this far to either side of the centre line, mm. */
const SEAM_HALF_MM = 70;

/** The line the guide hangs from, as it runs on the blank: a collar’s curve, or a straight hem or brim. */
function seamOf({ lay, anchorAt, measures, panel, box }: Placement): Point[] {
  const from = lay[0]?.from;
  const half = Math.max(SEAM_HALF_MM, box.widthMm / 2);
  if (
    (from === 'front collar seam' || from === 'point of the V' || from === 'back collar seam') &&
    (panel === 'front' || panel === 'back')
  ) {
    const { collarSeam } = bodyLines(measures, panel, 60);
    return collarSeam.filter(({ x }) => Math.abs(x) <= Math.max(SEAM_HALF_MM, 60));
  }
  return [point(-half, anchorAt.y), point(half, anchorAt.y)];
}

/**
 * The guide of a placement.
 *
 * @param words what stands on it: what it is for, and each measure in words
 */
export function guideOf(placement: Placement, words: readonly string[]): Guide {
  const { box, anchorAt } = placement;
  const seam = seamOf(placement);
  const middle = box.leftMm + box.widthMm / 2;
  const all = [...seam, point(box.leftMm, box.topMm), point(box.leftMm + box.widthMm, box.topMm + box.heightMm), anchorAt];
  const [left, right] = [Math.min(...all.map((p) => p.x), -20) - EDGE_MM, Math.max(...all.map((p) => p.x), 20) + EDGE_MM];
  const [top, bottom] = [Math.min(...all.map((p) => p.y)) - EDGE_MM, Math.max(...all.map((p) => p.y)) + EDGE_MM];
  const on = ({ x, y }: Point): Point => point(x - left, y - top);
  const artTop = box.topMm;
  const artBottom = box.topMm + box.heightMm;
  const near = anchorAt.y <= artTop ? artTop : artBottom;
  const lines: GuideLine[] = [
    { kind: 'seam', points: seam.map(on) },
    {
      kind: 'art',
      points: [
        point(box.leftMm, artTop),
        point(box.leftMm + box.widthMm, artTop),
        point(box.leftMm + box.widthMm, artBottom),
        point(box.leftMm, artBottom),
        point(box.leftMm, artTop),
      ].map(on),
    },
    { kind: 'centre', points: [on(point(0, top + 4)), on(point(0, bottom - 4))] },
    { kind: 'measure', points: [on(point(middle, anchorAt.y)), on(point(middle, near))] },
    {
      kind: 'centre',
      points: [on(point(box.leftMm, (artTop + artBottom) / 2)), on(point(box.leftMm + box.widthMm, (artTop + artBottom) / 2))],
    },
  ];
  const textAt = on(point(box.leftMm + 4, artTop + 8));
  const size = Math.max(2.2, Math.min(4.5, box.widthMm / 24));
  return {
    widthMm: right - left,
    heightMm: bottom - top,
    lines,
    texts: words.map((text, i) => ({ at: point(textAt.x, textAt.y + i * size * 1.5), text, sizeMm: size, centred: false })),
    art: { leftMm: box.leftMm - left, topMm: artTop - top, widthMm: box.widthMm, heightMm: box.heightMm },
  };
}

/** Paper the guide is tiled over. */
export interface Paper {
  widthMm: number;
  heightMm: number;
}
export interface Tile {
  column: number;
  row: number;
  /** Corner of the guide that stands at the corner of the page’s printed area, mm. */
  leftMm: number;
  topMm: number;
}

/** Nothing is printed nearer to the edge of a page than this, mm. */
export const PAGE_MARGIN_MM = 8;
/** Pages show this much of each other, mm. */
export const TILE_OVERLAP_MM = 12;
/** Kept at the foot of each page for its check bar, mm. */
const PAGE_FOOT_MM = 14;

/** The printed area of a page for the guide, mm. */
export const printed = ({ widthMm, heightMm }: Paper): Paper => ({
  widthMm: widthMm - 2 * PAGE_MARGIN_MM,
  heightMm: heightMm - 2 * PAGE_MARGIN_MM - PAGE_FOOT_MM,
});

/** The pages a guide wants, row by row. A guide that fits on one page stands on one. */
export function tilesOf(guide: Pick<Guide, 'widthMm' | 'heightMm'>, paper: Paper): Tile[] {
  const area = printed(paper);
  const count = (whole: number, page: number) => Math.max(1, Math.ceil((whole - TILE_OVERLAP_MM) / (page - TILE_OVERLAP_MM)));
  const [columns, rows] = [count(guide.widthMm, area.widthMm), count(guide.heightMm, area.heightMm)];
  return Array.from({ length: columns * rows }, (_, i) => {
    const [column, row] = [i % columns, Math.floor(i / columns)];
    return { column, row, leftMm: column * (area.widthMm - TILE_OVERLAP_MM), topMm: row * (area.heightMm - TILE_OVERLAP_MM) };
  });
}
