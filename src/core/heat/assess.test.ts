import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { grownAt, growthOf, reaches, referenceFlow } from './assess';
import type { Passage, Piece, StackLayer } from './pieceSchema';

const grown = (timeS: number[], of: (t: number) => number) => ({
  timeS: Float64Array.from(timeS),
  value: Float64Array.from(timeS.map(of)),
});

describe('reading what has grown', () => {
  it('is exact of every power of the time, at any time between two samples, and back', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 6, noNaN: true }), fc.double({ min: 1.01, max: 99, noNaN: true }), (power, t) => {
        const samples = grown([0, 1, 3, 11, 40, 100], (at) => at ** power);
        expect(grownAt(samples, t) / t ** power).toBeCloseTo(1, 9);
        expect(reaches(samples, t ** power)).toBeCloseTo(t, 6);
      }),
    );
  });

  it('where nothing has grown yet the samples lie on a straight line; beyond them the last one stands', () => {
    const samples = grown([0, 10, 20], (at) => Math.max(0, at - 10));
    expect([grownAt(samples, 5), grownAt(samples, 15), grownAt(samples, 90)]).toEqual([0, 5, 10]);
    expect([reaches(samples, 5), reaches(samples, 11)]).toEqual([15, null]);
  });
});

const layer = (role: StackLayer['role'], k: number, rho: number, c: number, thicknessMm: number): StackLayer => ({
  role,
  name: role,
  k,
  rho,
  c,
  thicknessMm,
});
/** Glass warms for minutes, and what flows at its glue grows by a hundred times while it does. */
const glassUnder = (pad: StackLayer): Piece => ({
  stack: [
    pad,
    layer('cover', 0.25, 2100, 1000, 0.13),
    layer('carrier', 0.1, 900, 1400, 0.12),
    layer('transfer', 0.2, 1200, 1600, 0.05),
    layer('fabric', 1, 2500, 840, 4),
    layer('pad', 0.1, 450, 1300, 8),
  ],
  contactKPa: 32.5,
  roomC: 22,
  baseC: 45,
  lowerC: null,
  droop: null,
});
const pressed = (timeS: number): Passage => ({ surfaceC: 150, timeS, prePressS: 0, finish: null, cooling: null });

describe('the bond of glass, read from a coarse run of twice the time', () => {
  it.each([
    ['thin foam', layer('pad over', 0.05, 60, 1400, 0.75)],
    ['conducting rubber', layer('pad over', 0.8, 1300, 1200, 3)],
    ['thick foam', layer('pad over', 0.06, 120, 1400, 8)],
  ])('under %s is within 5 % of a fine run of its own', (_, pad) => {
    const piece = glassUnder(pad);
    const fine = { resolution: 2, toleranceK: 0.005 };
    const referenced = referenceFlow({ piece, surfaceC: 150, timeS: 80, prePressS: 0 }, 115, fine);
    const adhesive = { softenC: 115, shift: 1, referenceFlow: referenced };
    const { timeS, bond } = growthOf(
      piece,
      pressed(160),
      adhesive,
      { markC: null, damageC: null, dyeC: null },
      { resolution: 0.3, toleranceK: 0.3 },
    );
    expect(grownAt({ timeS, value: bond }, 80)).toBeGreaterThan(0.95);
    expect(grownAt({ timeS, value: bond }, 80)).toBeLessThan(1.05);
  });
});
