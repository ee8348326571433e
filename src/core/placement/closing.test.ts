import fc from 'fast-check';
import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../test/runs';
import { aboutTheMiddle, closingPlan, fillClosing, type PlacedPiece, type SmallPiece } from './closing';

const fits = (room: number, side: number) => Math.max(0, Math.floor((room + 1e-9) / side));

/** Rows one way up, the gap as part of each piece. */
const grid = (w: number, h: number, a: number, b: number) => fits(w, a) * fits(h, b);

/** Two blocks, each one way up, parted by a straight cut anywhere. */
function twoBlocks(w: number, h: number, a: number, b: number): number {
  let best = 0;
  for (let x = 0; x <= w; x += 0.5)
    best = Math.max(best, Math.max(grid(x, h, a, b), grid(x, h, b, a)) + Math.max(grid(w - x, h, a, b), grid(w - x, h, b, a)));
  for (let y = 0; y <= h; y += 0.5)
    best = Math.max(best, Math.max(grid(w, y, a, b), grid(w, y, b, a)) + Math.max(grid(w, h - y, a, b), grid(w, h - y, b, a)));
  return best;
}

/** Rounds in rows set aside by half, along the width. */
function hexagonal(w: number, h: number, d: number): number {
  let count = 0;
  for (let y = d / 2, row = 0; y + d / 2 <= h + 1e-9; y += (d * Math.sqrt(3)) / 2, row++)
    for (let x = d / 2 + (row % 2 === 1 ? d / 2 : 0); x + d / 2 <= w + 1e-9; x += d) count++;
  return count;
}

function packed(w: number, h: number, a: number, b: number): number {
  // the packer gives an oversized piece a bin of its own
  if (grid(w, h, a, b) === 0 && grid(w, h, b, a) === 0) return 0;
  const packer = new MaxRectsPacker(Math.floor(w), Math.floor(h), 0, { smart: false, pot: false, square: false, allowRotation: true });
  packer.addArray(Array.from({ length: fits(w * h, a * b) + 1 }, (_, i) => ({ width: a, height: b, x: 0, y: 0, data: i })) as never[]);
  return packer.bins[0]?.rects.length ?? 0;
}

/** Whether all pieces lie in the room, and none nearer to another than the gap. */
function sound(placed: readonly PlacedPiece[], room: { widthMm: number; heightMm: number }, piece: SmallPiece, gap: number): boolean {
  const sides = ({ turned }: PlacedPiece) =>
    (turned ? [piece.heightMm, piece.widthMm] : [piece.widthMm, piece.heightMm]) as [number, number];
  const near = 1e-4;
  return placed.every((laidPiece, i) => {
    const [w, h] = sides(laidPiece);
    if (Math.abs(laidPiece.xMm) + w / 2 > room.widthMm / 2 + near || Math.abs(laidPiece.yMm) + h / 2 > room.heightMm / 2 + near)
      return false;
    return placed.slice(i + 1).every((other) => {
      const [ow, oh] = sides(other);
      if (piece.round) return Math.hypot(laidPiece.xMm - other.xMm, laidPiece.yMm - other.yMm) >= piece.widthMm + gap - near;
      return (
        Math.abs(laidPiece.xMm - other.xMm) >= (w + ow) / 2 + gap - near || Math.abs(laidPiece.yMm - other.yMm) >= (h + oh) / 2 + gap - near
      );
    });
  });
}

const rooms = fc.record({ widthMm: fc.integer({ min: 130, max: 500 }), heightMm: fc.integer({ min: 130, max: 500 }) });
const whole = fc.integer({ min: 38, max: 210 });

describe('pieces of one closing', () => {
  it('never fewer than both grids, two blocks and free packing, and every piece lies free in the zone (150 rooms)', () => {
    fc.assert(
      fc.property(rooms, whole, whole, fc.integer({ min: 0, max: 12 }), (room, widthMm, heightMm, gap) => {
        const placed = fillClosing(room, { widthMm, heightMm, round: false }, gap);
        const [w, h, a, b] = [room.widthMm + gap, room.heightMm + gap, widthMm + gap, heightMm + gap];
        expect(placed.length).toBeGreaterThanOrEqual(
          Math.max(grid(w, h, a, b), grid(w, h, b, a), twoBlocks(w, h, a, b), packed(w, h, a, b)),
        );
        expect(sound(placed, room, { widthMm, heightMm, round: false }, gap)).toBe(true);
      }),
      runs(400),
    );
  });

  it('rounds: never fewer than square rows or rows set aside, either way along (100 rooms)', () => {
    fc.assert(
      fc.property(rooms, whole, fc.integer({ min: 0, max: 12 }), (room, across, gap) => {
        const piece = { widthMm: across, heightMm: across, round: true };
        const placed = fillClosing(room, piece, gap);
        const [w, h, d] = [room.widthMm + gap, room.heightMm + gap, across + gap];
        expect(placed.length).toBeGreaterThanOrEqual(Math.max(grid(w, h, d, d), hexagonal(w, h, d), hexagonal(h, w, d)));
        expect(sound(placed, room, piece, gap)).toBe(true);
      }),
      runs(300),
    );
  });

  it('on a platen of 406 by 508 four columns of four coasters stand 95 mm apart, where square rows hold twelve; a tile larger than it: none', () => {
    expect(fillClosing({ widthMm: 386, heightMm: 488 }, { widthMm: 100, heightMm: 100, round: true }, 10)).toHaveLength(16);
    expect(fillClosing({ widthMm: 380, heightMm: 380 }, { widthMm: 400, heightMm: 100, round: false }, 5)).toEqual([]);
  });

  it('fewer than would go lie about the middle of the platen, still in the zone and as far apart: to one side they would tilt it', () => {
    fc.assert(
      fc.property(rooms, whole, whole, fc.boolean(), fc.integer({ min: 1, max: 12 }), (room, widthMm, heightMm, round, wanted) => {
        const piece = { widthMm, heightMm: round ? widthMm : heightMm, round };
        const all = fillClosing(room, piece, 5);
        const some = aboutTheMiddle(all, wanted, room, piece);
        expect(some).toHaveLength(Math.min(all.length, wanted));
        expect(sound(some, room, piece, 5)).toBe(true);
        if (some.length === 0 || some.length === all.length) return;
        const mean = (list: PlacedPiece[], of: (laidPiece: PlacedPiece) => number) =>
          list.reduce((sum, laidPiece) => sum + of(laidPiece), 0) / list.length;
        // either the weight lies in the middle, or a piece meets the edge on the way there
        for (const [of, side, along] of [
          [
            (laidPiece: PlacedPiece) => laidPiece.xMm,
            room.widthMm,
            (laidPiece: PlacedPiece) => (laidPiece.turned ? piece.heightMm : piece.widthMm),
          ],
          [
            (laidPiece: PlacedPiece) => laidPiece.yMm,
            room.heightMm,
            (laidPiece: PlacedPiece) => (laidPiece.turned ? piece.widthMm : piece.heightMm),
          ],
        ] as const) {
          const meets = some.some((laidPiece) => Math.abs(Math.abs(of(laidPiece)) + along(laidPiece) / 2 - side / 2) < 1e-4);
          expect(meets || Math.abs(mean(some, of)) < 1e-6).toBe(true);
        }
      }),
      runs(200),
    );
    const coaster = { shape: 'round' as const, neck: 'round' as const, measures: { width: 100 }, taken: true };
    const plan = closingPlan(coaster, { widthMm: 406, heightMm: 508 }, 3);
    expect([plan.room, plan.pieces.length]).toEqual([16, 3]);
    expect(Math.max(...plan.pieces.map((piece) => Math.hypot(piece.xMm, piece.yMm)))).toBeLessThan(110);
  });
});
