import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CLOTHS, passage, pieceOf } from '../../../test/columns';
import { contactResistance, followed, followOf, platenFor, sceneOf, settledTemperature, solve, tempAt, upperFor } from './index';

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
        expect(platenFor(covered, 45, at, t)).toBeCloseTo(platenC, 8);
      }),
    );
  });
});

describe('cloth settled between two platens', () => {
  const resistance = fc.double({ min: 1e-5, max: 1e-1, noNaN: true });
  const platen = fc.integer({ min: 20, max: 230 });
  const depths = fc.record({ above: resistance, below: resistance });

  /** An independent answer: a chain of nodes between the platens, swept until each has what its two neighbours give it. */
  function byRelaxation(resistances: number[], upperC: number, lowerC: number): number[] {
    const t = [upperC, ...resistances.slice(1).map(() => lowerC), lowerC];
    for (let sweep = 0; sweep < 4000; sweep++)
      for (let i = 1; i < t.length - 1; i++) {
        const [up, down] = [1 / (resistances[i - 1] as number), 1 / (resistances[i] as number)];
        t[i] = ((t[i - 1] as number) * up + (t[i + 1] as number) * down) / (up + down);
      }
    return t;
  }

  it('agrees at every depth of a stack with a chain of nodes swept until it rests', () => {
    const stack = [1e-4, 5e-4, 1.2e-4, 9e-3, 1e-4];
    const swept = byRelaxation(stack, 128, 166);
    stack.slice(1).forEach((_, i) => {
      const sum = (part: number[]) => part.reduce((a, b) => a + b, 0);
      const depth = { above: sum(stack.slice(0, i + 1)), below: sum(stack.slice(i + 1)) };
      expect(settledTemperature(depth, 128, 166)).toBeCloseTo(swept[i + 1] as number, 6);
    });
  });
  it('as much heat leaves the depth as reaches it', () => {
    fc.assert(
      fc.property(depths, platen, platen, (depth, upperC, lowerC) => {
        const at = settledTemperature(depth, upperC, lowerC);
        const [into, out] = [(upperC - at) / depth.above, (at - lowerC) / depth.below];
        const thin = Math.min(depth.above, depth.below);
        // a temperature is rounded in its last place, and a thin layer makes much of it
        const rounding = (8 * Number.EPSILON * Math.max(upperC, lowerC)) / thin;
        expect(Math.abs(into - out)).toBeLessThanOrEqual(1e-9 * Math.max(1, Math.abs(upperC - lowerC) / thin) + rounding);
      }),
    );
  });
  it('lies between the platens, and the upper platen for a wish gives that wish', () => {
    fc.assert(
      fc.property(depths, platen, platen, (depth, upperC, lowerC) => {
        const at = settledTemperature(depth, upperC, lowerC);
        expect(at).toBeGreaterThanOrEqual(Math.min(upperC, lowerC) - 1e-9);
        expect(at).toBeLessThanOrEqual(Math.max(upperC, lowerC) + 1e-9);
        fc.pre(depth.below / depth.above > 1e-3);
        expect(upperFor(depth, at, lowerC)).toBeCloseTo(upperC, 6);
      }),
    );
  });
});
