/**
 * How many small flat pieces go into one closing, and where each lies.
 *
 * Rectangles: a block may be filled by rows of one way up, or cut into up to five blocks round a middle one, each filled
 * the same way again (Bischoff and Dowsland’s five-block heuristic for loading pallets, with recursion):
 *
 *     ┌──────┬──────────┐
 *     │  1   │    2     │    two blocks, four blocks and plain rows are cases of it with empty parts
 *     │      ├────┬─────┤
 *     ├────┬─┘ 5  │  3  │
 *     │ 4  ├──────┤     │
 *     └────┴──────┴─────┘
 *
 * Rounds: rows square to each other, or every other row set half a piece aside, along either side.
 */

import type { BlankMeasures } from '../materials';

export interface Zone {
  widthMm: number;
  heightMm: number;
}
export interface SmallPiece extends Zone {
  round: boolean;
}
/** The middle of a piece from the middle of the platen, mm, and whether it lies a quarter turn round. */
export interface PlacedPiece {
  xMm: number;
  yMm: number;
  turned: boolean;
}

interface Spot {
  x: number;
  y: number;
  turned: boolean;
}
/** Blocks within blocks; of more pieces by their area than `MOST_DEEP` blocks alone, which lose little. */
const DEPTH = 2;
const MOST_DEEP = 120;
/** Ways to cut a block in five that are looked at; pieces so small that there are more lose little by plain rows. */
const MOST_CUTS = 60_000;
const SLACK = 1e-6;
const fitted = (room: number, side: number): number => Math.max(0, Math.floor((room + SLACK) / side));

const rows = (w: number, h: number, a: number, b: number, turned: boolean): Spot[] =>
  Array.from({ length: fitted(w, a) * fitted(h, b) }, (_, i) => ({
    x: (i % fitted(w, a)) * a,
    y: Math.floor(i / fitted(w, a)) * b,
    turned,
  }));

/** Sums of sides up to a length: where a cut can usefully stand. */
function cuts(length: number, a: number, b: number): number[] {
  const found = new Set<number>();
  for (let i = 0; i * a <= length + SLACK; i++)
    for (let k = 0; i * a + k * b <= length + SLACK; k++) found.add(Math.round((i * a + k * b) * 1000) / 1000);
  return [...found].sort((p, q) => p - q);
}

/** Every two of a list in its order, each with itself too. */
function* pairs(list: readonly number[]): Generator<[number, number]> {
  for (const [i, first] of list.entries()) for (const second of list.slice(i)) yield [first, second];
}

/** Fills blocks of one size of piece, remembering what each block holds. */
class BlockFiller {
  private readonly known = new Map<string, Spot[]>();

  constructor(
    private readonly a: number,
    private readonly b: number,
  ) {}

  fill(w: number, h: number, depth: number): Spot[] {
    const { a, b } = this;
    if (Math.min(w, h) + SLACK < Math.min(a, b)) return [];
    const key = `${Math.round(w * 100)} ${Math.round(h * 100)} ${depth}`;
    const before = this.known.get(key);
    if (before) return before;
    let best = rows(w, h, a, b, false);
    const other = rows(w, h, b, a, true);
    if (other.length > best.length) best = other;
    const most = Math.floor((w * h + SLACK) / (a * b));
    if (depth > 0 && best.length < most) best = this.cut(w, h, depth, best, most);
    this.known.set(key, best);
    return best;
  }

  /** The best of two blocks, each cut again, then of five of plain rows. */
  private cut(w: number, h: number, depth: number, start: Spot[], most: number): Spot[] {
    const [xs, ys] = [cuts(w, this.a, this.b), cuts(h, this.a, this.b)];
    let best = start;
    for (const block of this.inTwo(w, h, xs, ys, depth)) {
      if (block.length > best.length) best = block;
      if (best.length >= most) return best;
    }
    if ((xs.length * ys.length) ** 2 / 4 > MOST_CUTS) return best;
    for (const [x1, x2] of pairs(xs))
      for (const [y1, y2] of pairs(ys)) {
        if (this.inFive(w, h, x1, x2, y1, y2) > best.length) {
          const block = this.five(w, h, x1, x2, y1, y2, 0);
          if (block.length > best.length) best = block;
        }
        if (best.length >= most) return best;
      }
    return best;
  }

  private *inTwo(w: number, h: number, xs: readonly number[], ys: readonly number[], depth: number): Generator<Spot[]> {
    for (const x of xs) if (x > 0) yield this.five(w, h, x, x, 0, h, depth - 1);
    for (const y of ys) if (y > 0) yield this.five(w, h, 0, w, y, y, depth - 1);
  }

  /** How many the five blocks hold in plain rows. */
  private inFive(w: number, h: number, x1: number, x2: number, y1: number, y2: number): number {
    return this.plain(x1, y2) + this.plain(w - x1, y1) + this.plain(w - x2, h - y1) + this.plain(x2, h - y2) + this.plain(x2 - x1, y2 - y1);
  }

  /** How many a block holds in rows of one way up. */
  private plain(w: number, h: number): number {
    return Math.max(fitted(w, this.a) * fitted(h, this.b), fitted(w, this.b) * fitted(h, this.a));
  }

  /** The five blocks of the sketch: 1 top left as wide as x1, 4 bottom left as wide as x1 under it, and so on round. */
  private five(w: number, h: number, x1: number, x2: number, y1: number, y2: number, depth: number): Spot[] {
    const block = (x: number, y: number, bw: number, bh: number): Spot[] =>
      bw <= 0 || bh <= 0 ? [] : this.fill(bw, bh, depth).map((spot) => ({ ...spot, x: spot.x + x, y: spot.y + y }));
    return [
      ...block(0, 0, x1, y2),
      ...block(x1, 0, w - x1, y1),
      ...block(x2, y1, w - x2, h - y1),
      ...block(0, y2, x2, h - y2),
      ...block(x1, y1, x2 - x1, y2 - y1),
    ];
  }
}

/** Rows of rounds along the width; `staggered` sets every other one half a pitch aside. */
function rounds(w: number, h: number, pitch: number, staggered: boolean): Spot[] {
  const across = fitted(w, pitch);
  if (across === 0 || h + SLACK < pitch) return [];
  // where a row set aside holds as many as the others the rows may stand as near as rounds do; else one fewer
  const step = staggered ? (pitch * Math.sqrt(3)) / 2 : pitch;
  const count = Math.floor((h - pitch + SLACK) / step) + 1;
  const list: Spot[] = [];
  for (let row = 0; row < count; row++) {
    const aside = staggered && row % 2 === 1 ? pitch / 2 : 0;
    for (let i = 0; i < fitted(w - aside, pitch); i++) list.push({ x: aside + i * pitch, y: row * step, turned: false });
  }
  return list;
}

/**
 * The most pieces of one size that go into one closing.
 *
 * @param room the zone of even pressure, mm
 * @param gapMm kept between pieces, mm
 * @returns where each piece lies, all together about the middle of the platen; none: a piece is larger than the zone
 */
export function fillClosing(room: Zone, piece: SmallPiece, gapMm: number): PlacedPiece[] {
  const [w, h] = [room.widthMm + gapMm, room.heightMm + gapMm];
  const [a, b] = [piece.widthMm + gapMm, piece.heightMm + gapMm];
  const flip = (spots: Spot[]): Spot[] => spots.map(({ x, y, turned }) => ({ x: y, y: x, turned }));
  const spots = piece.round
    ? [rounds(w, h, a, false), rounds(w, h, a, true), flip(rounds(h, w, a, true))].reduce((best, spots) =>
        spots.length > best.length ? spots : best,
      )
    : new BlockFiller(a, b).fill(w, h, w * h > MOST_DEEP * a * b ? 1 : DEPTH);
  const placed = spots.map(({ x, y, turned }) => ({ x: x + (turned ? b : a) / 2, y: y + (turned ? a : b) / 2, turned }));
  const middle = (list: number[], reach: (i: number) => number) =>
    list.length === 0 ? 0 : (Math.min(...list.map((v, i) => v - reach(i))) + Math.max(...list.map((v, i) => v + reach(i)))) / 2;
  const half = (i: number, across: boolean) => (placed[i]?.turned === across ? b : a) / 2;
  const mx = middle(
    placed.map((s) => s.x),
    (i) => half(i, true),
  );
  const my = middle(
    placed.map((s) => s.y),
    (i) => half(i, false),
  );
  return placed.map(({ x, y, turned }) => ({ xMm: x - mx, yMm: y - my, turned }));
}

/** Kept free at the edge of the platen, where the pressure falls off, and between pieces, mm. */
const EDGE_MM = 10;
const GAP_MM = 6;

export interface ClosingPlan {
  piece: SmallPiece;
  /** How many would go. */
  room: number;
  /** Those that are wanted, about the middle of the platen: to one side they would tilt it. */
  pieces: PlacedPiece[];
  edgeMm: number;
  gapMm: number;
}

/** Pieces by plain rows, all turned one way, in a zone. */
const inRows = (zone: Zone, { widthMm, heightMm }: SmallPiece): number =>
  Math.max(
    Math.floor((zone.widthMm + GAP_MM) / (widthMm + GAP_MM)) * Math.floor((zone.heightMm + GAP_MM) / (heightMm + GAP_MM)),
    Math.floor((zone.widthMm + GAP_MM) / (heightMm + GAP_MM)) * Math.floor((zone.heightMm + GAP_MM) / (widthMm + GAP_MM)),
  );

/**
 * How many pieces go into one closing of a platen, counted no further than is asked.
 *
 * @param wanted pieces there are to lay
 * @param zone of the platen, mm
 * @returns at most as many as are wanted
 */
export function fitInClosing(piece: SmallPiece, { widthMm, heightMm }: Zone, wanted: number): number {
  // one that covers the platen is pressed by itself, to its edge
  if (wanted <= 1) return wanted;
  const zone = { widthMm: widthMm - 2 * EDGE_MM, heightMm: heightMm - 2 * EDGE_MM };
  const rows = inRows(zone, piece);
  return rows >= wanted ? wanted : Math.min(wanted, Math.max(rows, fillClosing(zone, piece, GAP_MM).length));
}

/** Some of the pieces laid, the nearest to the middle, moved together until their weight lies in the middle or one meets the edge of the zone. */
export function aboutTheMiddle(placed: readonly PlacedPiece[], count: number, zone: Zone, piece: SmallPiece): PlacedPiece[] {
  if (count >= placed.length) return [...placed];
  const chosen = [...placed].sort((a, b) => Math.hypot(a.xMm, a.yMm) - Math.hypot(b.xMm, b.yMm)).slice(0, count);
  /** How far all may be moved along one side. */
  const shift = (at: (laidPiece: PlacedPiece) => number, room: number, half: (laidPiece: PlacedPiece) => number): number => {
    const mean = chosen.reduce((sum, laidPiece) => sum + at(laidPiece), 0) / Math.max(1, chosen.length);
    const least = Math.max(...chosen.map((laidPiece) => half(laidPiece) - room / 2 - at(laidPiece)));
    const most = Math.min(...chosen.map((laidPiece) => room / 2 - half(laidPiece) - at(laidPiece)));
    return Math.min(most, Math.max(least, -mean));
  };
  const x = shift(
    (laidPiece) => laidPiece.xMm,
    zone.widthMm,
    ({ turned }) => (turned ? piece.heightMm : piece.widthMm) / 2,
  );
  const y = shift(
    (laidPiece) => laidPiece.yMm,
    zone.heightMm,
    ({ turned }) => (turned ? piece.widthMm : piece.heightMm) / 2,
  );
  return chosen.map((laidPiece) => ({ ...laidPiece, xMm: laidPiece.xMm + x, yMm: laidPiece.yMm + y }));
}

/**
 * How a flat blank goes many at a time on a platen, inside the zone of even pressure.
 *
 * @param wanted pieces there are to press
 */
export function closingPlan({ shape, measures }: BlankMeasures, { widthMm, heightMm }: Zone, wanted: number): ClosingPlan {
  const round = shape === 'round';
  const width = measures.width ?? 0;
  const piece = { widthMm: width, heightMm: round ? width : (measures.height ?? 0), round };
  const zone = { widthMm: widthMm - 2 * EDGE_MM, heightMm: heightMm - 2 * EDGE_MM };
  const placed = fillClosing(zone, piece, GAP_MM);
  return { piece, room: placed.length, pieces: aboutTheMiddle(placed, wanted, zone, piece), edgeMm: EDGE_MM, gapMm: GAP_MM };
}
