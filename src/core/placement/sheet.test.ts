import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boundsOf, middleOf, TURNS, turned } from './geometry';
import { layAfter, platenOn } from './sheet';

const lays = fc.record({
  xMm: fc.integer({ min: -200, max: 200 }),
  yMm: fc.integer({ min: -200, max: 200 }),
  turn: fc.constantFrom(...TURNS),
});
const boxes = fc.record({
  leftMm: fc.integer({ min: -300, max: 300 }),
  topMm: fc.integer({ min: 0, max: 600 }),
  widthMm: fc.integer({ min: 20, max: 300 }),
  heightMm: fc.integer({ min: 20, max: 300 }),
});
const PLATEN = { widthMm: 380, heightMm: 460 };

describe('the platen on the sheet', () => {
  it('lies so that the art is where its lay says, seen from the platen', () => {
    fc.assert(
      fc.property(boxes, lays, (box, lay) => {
        const ring = platenOn(box, lay, PLATEN);
        const [middle, art] = [middleOf(boundsOf(ring)), middleOf(box)];
        const seen = turned({ x: art.x - middle.x, y: art.y - middle.y }, lay.turn);
        expect([seen.x, seen.y]).toEqual([expect.closeTo(lay.xMm, 6), expect.closeTo(lay.yMm, 6)]);
        const { widthMm, heightMm } = boundsOf(ring);
        expect(lay.turn % 180 === 0 ? [widthMm, heightMm] : [heightMm, widthMm]).toEqual([expect.closeTo(380, 6), expect.closeTo(460, 6)]);
      }),
    );
  });

  it('stays where it is while the art is moved over it', () => {
    fc.assert(
      fc.property(boxes, lays, fc.integer({ min: -80, max: 80 }), fc.integer({ min: -80, max: 80 }), (box, lay, xMm, yMm) => {
        const moved = { ...box, leftMm: box.leftMm + xMm, topMm: box.topMm + yMm };
        const before = boundsOf(platenOn(box, lay, PLATEN));
        const after = boundsOf(platenOn(moved, layAfter(lay, { xMm, yMm }), PLATEN));
        expect([after.leftMm, after.topMm]).toEqual([expect.closeTo(before.leftMm, 6), expect.closeTo(before.topMm, 6)]);
      }),
    );
  });
});
