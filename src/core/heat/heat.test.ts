import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CLOTHS, passage, pieceOf } from '../../../test/columns';
import { contactResistance, followed, followOf, platenFor, sceneOf, solve, tempAt, unheated } from './index';

const bare = followOf(pieceOf('cotton jersey'), 'bare');
const covered = followOf(pieceOf('cotton jersey', { cover: true }), 'bare');

describe('how a face follows the platen', () => {
  it('is what a fine run gives at quite another temperature, for every cloth, in the art and beside it', () => {
    for (const cloth of Object.keys(CLOTHS) as (keyof typeof CLOTHS)[])
      for (const column of ['art', 'bare'] as const) {
        const piece = { ...pieceOf(cloth, { cover: true }), roomC: 45, baseC: 45 };
        const scene = sceneOf(piece, passage({ surfaceC: 188, timeS: 30 }), column);
        const run = solve({ ...scene, stages: scene.stages.filter(({ name }) => name === 'press') }, { resolution: 2, toleranceK: 0.002 });
        const face = run.curves.face;
        if (!face) throw new TypeError('no face');
        const follow = followOf(piece, column);
        for (const t of [1, 3, 8, 20]) expect(Math.abs(45 + 143 * followed(follow, t) - tempAt(face, t))).toBeLessThan(t < 4 ? 1 : 0.6);
      }
  });
  it('a cover sheet takes more kelvin at 2 s than at 15 s', () => {
    const loss = (t: number) => 128 * (followed(bare, t) - followed(covered, t));
    expect(loss(2)).toBeGreaterThan(loss(15));
    expect(loss(15)).toBeGreaterThan(1);
  });
  it('firmer pressure means better contact', () => {
    expect(contactResistance(20)).toBeCloseTo(1e-4, 12);
    expect(contactResistance(40)).toBeLessThan(contactResistance(20) / 1.9);
  });
  it('rises with time, never passes the platen, and inverts exactly', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 40, noNaN: true }), fc.integer({ min: 90, max: 230 }), (t, platenC) => {
        const at = 45 + (platenC - 45) * followed(covered, t);
        expect(at).toBeLessThan(platenC);
        expect(followed(covered, t * 1.4)).toBeGreaterThanOrEqual(followed(covered, t));
        expect(platenFor(covered, { roomC: 45, baseC: 45 }, at, t)).toBeCloseTo(platenC, 8);
      }),
    );
  });
});

describe('a base in use under a piece', () => {
  it('warms it before the platen does: what a fine run of the loading, the placing and the press gives', () => {
    for (const cloth of Object.keys(CLOTHS) as (keyof typeof CLOTHS)[]) {
      const piece = { ...pieceOf(cloth), baseC: 52 };
      const scene = sceneOf(piece, passage({ surfaceC: 165, timeS: 20, prePressS: 0 }), 'bare');
      const run = solve(scene, { resolution: 2, toleranceK: 0.002 });
      const shut = run.stages.find(({ name }) => name === 'press');
      const [face, follow] = [run.curves.face, followOf(piece, 'bare')];
      if (!face || !shut) throw new TypeError('no face');
      for (const t of [1, 3, 8, 20]) {
        const told = unheated(follow, piece, t) + (165 - piece.roomC) * followed(follow, t);
        expect(Math.abs(told - tempAt(face, shut.fromS + t))).toBeLessThan(t < 4 ? 1 : 0.6);
      }
    }
  });
});
