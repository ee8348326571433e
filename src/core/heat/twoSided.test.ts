import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { adhesive, CLOTHS, passage, pieceOf } from '../../../test/columns';
import { runs } from '../../../test/runs';
import {
  contactResistance,
  curveBetween,
  layerResistance,
  limitLine,
  sceneOf,
  sharesAt,
  solve,
  tempAt,
  twoSided,
  upperForFlow,
} from './index';
import { flowOf, harmOf, within } from './indices';

const bedless = (cloth: keyof typeof CLOTHS, cover = false) => {
  const piece = pieceOf(cloth, { cover });
  return { ...piece, stack: piece.stack.filter(({ role }) => role !== 'pad') };
};
const FINE = { resolution: 2, toleranceK: 0.002 } as const;
const ASKED = { timeS: 12, prePressS: 5, finish: null };

/** The two-sided model itself, finely: everything pressed between both platens, nothing put together from parts. */
function transient(cloth: keyof typeof CLOTHS, upperC: number, lowerC: number, column: 'art' | 'bare', cover = false) {
  const scene = sceneOf({ ...bedless(cloth, cover), lowerC }, passage({ surfaceC: upperC, ...ASKED }), column);
  const run = solve(scene, FINE);
  const shut = run.stages.find(({ name }) => name === 'press');
  if (!shut) throw new TypeError('it was not pressed');
  return { run, shut };
}

describe('a piece between two platens', () => {
  it('is within a kelvin of the transient two-sided model at every place, for every cloth, from a second on', () => {
    const pairs = [
      [128, 166],
      [105, 190],
      [160, 95],
    ] as const;
    let worstK = 0;
    for (const cloth of Object.keys(CLOTHS) as (keyof typeof CLOTHS)[])
      for (const [upperC, lowerC] of pairs)
        for (const [place, column, key] of [
          ['glue', 'art', 'glue'],
          ['art', 'art', 'face'],
          ['inside', 'art', 'inside'],
          ['bare', 'bare', 'face'],
        ] as const) {
          const { run, shut } = transient(cloth, upperC, lowerC, column, true);
          const told = curveBetween(twoSided(bedless(cloth, true), ASKED), place, upperC, lowerC);
          for (const t of [1, 4, 12]) {
            const [at, curve] = [shut.fromS + t, run.curves[key]];
            if (!curve) throw new TypeError(`no ${key}`);
            worstK = Math.max(worstK, Math.abs(tempAt(told, at) - tempAt(within(curve, shut.fromS, shut.toS), at)));
          }
        }
    expect(worstK).toBeLessThan(1);
  });
  it('settles as resistances in series divide it, once it is pressed long enough', () => {
    const piece = bedless('polyester jersey');
    const seen = twoSided(piece, { timeS: 120, prePressS: 0, finish: null });
    const contact = contactResistance(piece.contactKPa);
    const cloth = piece.stack.find(({ role }) => role === 'fabric');
    if (!cloth) throw new TypeError('no cloth');
    const [above, below] = [contact, contact + layerResistance(cloth)];
    const { upper, lower } = sharesAt(seen, 'bare', 'press');
    expect(upper).toBeCloseTo(below / (above + below), 2);
    expect(upper + lower).toBeCloseTo(1, 3);
  });
  it('gives the adhesive the flow that was asked, by the transient model at the upper platen it found', () => {
    const { softenC, referenceFlow } = adhesive();
    for (const cloth of ['cotton jersey', 'fleece'] as const) {
      const upperC = upperForFlow(twoSided(bedless(cloth), ASKED), 165, { flow: referenceFlow, softenC, guessC: 130 });
      const { run, shut } = transient(cloth, upperC, 165, 'art');
      const flow = flowOf(run.curves.glue ?? { timeS: new Float64Array(), tempC: new Float64Array() }, [shut], softenC);
      // a kelvin is six per cent of the flow
      expect(Math.abs(Math.log(flow / referenceFlow))).toBeLessThan(0.06);
    }
  });
  it('a limit found at an upper platen is the harm of the whole passage: one there, less under it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 140, max: 175 }), fc.integer({ min: 90, max: 130 }), (limitC, lowerC) => {
        const seen = twoSided(bedless('cotton jersey'), ASKED);
        const span = { fromS: 0, closing: 'press', shutOnly: false };
        const { upperC } = limitLine(seen, 'bare', { upperC: limitC, lowerC }, span, (heldS) => limitC + 8 * Math.log2(15 / heldS));
        const harm = (value: number) => harmOf(curveBetween(seen, 'bare', value, lowerC), limitC);
        expect(harm(upperC)).toBeGreaterThan(0.9);
        expect(harm(upperC)).toBeLessThan(1.1);
        expect(harm(upperC - 8)).toBeLessThan(0.7);
      }),
      runs(160),
    );
  });
});
