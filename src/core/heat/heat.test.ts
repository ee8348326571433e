import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  COVER_SHEETS,
  contactResistance,
  effusivity,
  faceTemperature,
  heatedShare,
  layerResistance,
  platenForFace,
  settledTemperature,
  upperFor,
} from './index';

const JERSEY = effusivity({ k: 0.07, rho: 450, c: 1340 });
const bare = { resistance: contactResistance(20), effusivity: JERSEY, startC: 22 };
const covered = { ...bare, resistance: 2 * contactResistance(20) + layerResistance(COVER_SHEETS.ptfe) };

/**
 * An independent answer: explicit finite differences in a deep body behind a resistance.
 * Cell centres; the first half cell and the resistance carry the flux from the platen.
 */
function byFiniteDifferences(resistance: number, k: number, rhoC: number, timeS: number, platenC: number, startC: number): number {
  const dx = 2e-5;
  const cells = 900;
  const dt = (0.4 * dx * dx * rhoC) / k;
  const t = new Float64Array(cells).fill(startC);
  const steps = Math.round(timeS / dt);
  let flux = 0;
  for (let n = 0; n < steps; n++) {
    flux = (platenC - (t[0] as number)) / (resistance + dx / 2 / k);
    const before = t.slice();
    for (let i = 0; i < cells - 1; i++) {
      const left = i === 0 ? flux : (k * ((before[i - 1] as number) - (before[i] as number))) / dx;
      const right = (k * ((before[i] as number) - (before[i + 1] as number))) / dx;
      t[i] = (before[i] as number) + (dt * (left - right)) / (rhoC * dx);
    }
  }
  return platenC - flux * resistance;
}

describe('quick estimate of the face temperature', () => {
  it('agrees with finite differences of the same body, bare and covered', () => {
    for (const face of [bare, covered]) {
      const numeric = byFiniteDifferences(face.resistance, 0.07, 450 * 1340, 3, 150, 22);
      expect(faceTemperature(face, 150, 3)).toBeCloseTo(numeric, 0);
      expect(Math.abs(faceTemperature(face, 150, 3) - numeric)).toBeLessThan(0.3);
    }
  });
  it('a cover sheet takes more kelvin at 2 s than at 15 s', () => {
    const loss = (t: number) => faceTemperature(bare, 150, t) - faceTemperature(covered, 150, t);
    expect(loss(2)).toBeGreaterThan(loss(15));
    expect(loss(15)).toBeGreaterThan(1);
  });
  it('firmer pressure means better contact', () => {
    expect(contactResistance(20)).toBeCloseTo(1e-4, 12);
    expect(contactResistance(40)).toBeLessThan(contactResistance(20) / 1.9);
  });
  it('rises with time, never passes the platen, and inverts exactly', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-5, max: 5e-3, noNaN: true }),
        fc.double({ min: 0.5, max: 120, noNaN: true }),
        fc.integer({ min: 90, max: 230 }),
        (resistance, t, platenC) => {
          const face = { resistance, effusivity: JERSEY, startC: 22 };
          const at = faceTemperature(face, platenC, t);
          expect(at).toBeLessThan(platenC);
          expect(faceTemperature(face, platenC, t * 1.5)).toBeGreaterThan(at);
          expect(platenForFace(face, at, t)).toBeCloseTo(platenC, 8);
        },
      ),
    );
    expect(heatedShare(bare, 0)).toBe(0);
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
        expect(Math.abs(into - out)).toBeLessThanOrEqual(
          1e-9 * Math.max(1, Math.abs(upperC - lowerC) / Math.min(depth.above, depth.below)),
        );
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
