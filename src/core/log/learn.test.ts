import { describe, expect, it } from 'vitest';
import { isWhole, share } from '../../../test/runs';
import { BOND_OUTCOMES, bondOutcome, chanceOf, type Evidence, learnShifts, PIECE_SD, PRIOR_SD, type Reckoned, shiftAfter } from './learn';

/** Chance that repeats: the linear congruential sequence of the C standard, high bits. */
function chance(seed: number) {
  let state = seed;
  const uniform = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state + 0.5) / 4294967296;
  };
  const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
  return { uniform, normal };
}

/** A shop's log: settings over bonds of 0.8 to 1.2, pieces that differ, and a share of outcomes noted wrongly. */
function log({ uniform, normal }: ReturnType<typeof chance>, shift: number, pressings: number, wrong: number): Evidence[] {
  return Array.from({ length: pressings }, () => {
    const bond = 0.8 + 0.4 * uniform();
    const truth = bond * Math.exp(shift + PIECE_SD * normal());
    const at = truth < 0.8 ? 0 : truth < 0.9 ? 1 : truth <= 1.35 ? 2 : 3;
    const noted = uniform() < wrong ? (at + 1 + Math.floor(uniform() * 3)) % 4 : at;
    return { bond, outcome: BOND_OUTCOMES[noted] ?? 'good' };
  });
}

function trial(wrong: number, draws: number, seed: number) {
  const dice = chance(seed);
  let [held, squares] = [0, 0];
  for (let i = 0; i < draws; i++) {
    const truth = PRIOR_SD * dice.normal();
    const { mean, low, high } = shiftAfter(log(dice, truth, 60, wrong));
    if (truth >= low && truth <= high) held++;
    squares += (mean - truth) ** 2;
  }
  return { held: held / draws, rms: Math.sqrt(squares / draws) };
}

describe('what the log teaches of a press and a transfer', () => {
  it.runIf(isWhole)('after 60 pressings the shift is known to 0.05, and its 90 % interval holds the truth nine times in ten', () => {
    const { held, rms } = trial(0, share(4000), 5);
    console.log(`learning: RMS error ${rms.toFixed(4)} after 60 pressings; 90 % interval holds ${(100 * held).toFixed(1)} %`);
    expect(rms).toBeLessThanOrEqual(0.05);
    expect(held).toBeGreaterThanOrEqual(0.87);
    expect(held).toBeLessThanOrEqual(0.93);
  });
  it.runIf(isWhole)('with a tenth of the outcomes noted wrongly it still holds the truth eight times in ten', () => {
    const { held } = trial(0.1, share(4000), 6);
    console.log(`learning: a tenth wrong, the interval holds ${(100 * held).toFixed(1)} %`);
    expect(held).toBeGreaterThanOrEqual(0.8);
  });
  it('nothing pressed is the prior; chances of all outcomes make one', () => {
    const { mean, sd, low, high } = shiftAfter([]);
    expect(mean).toBeCloseTo(0, 9);
    expect(sd).toBeCloseTo(PRIOR_SD, 3);
    expect([low, high]).toEqual([expect.closeTo(-1.645 * PRIOR_SD, 2), expect.closeTo(1.645 * PRIOR_SD, 2)]);
    for (const bond of [0.6, 0.85, 1, 1.4])
      expect(BOND_OUTCOMES.reduce((sum, outcome) => sum + chanceOf(outcome, Math.log(bond)), 0)).toBeCloseTo(1, 12);
  });

  const pressing = (change: Partial<Reckoned>): Reckoned => ({
    pressId: 'p',
    productId: 't',
    bond: 1,
    outcome: 'good',
    reason: null,
    laidBack: 0,
    ...change,
  });
  const lifted = pressing({ outcome: 'spoiled', reason: 'would not peel clean' });
  it('up to three pressings hardly move it, whatever came of them; twenty lifted ones at a bond of 1 do', () => {
    for (const n of [1, 2, 3])
      for (const reckoned of [lifted, pressing({}), pressing({ laidBack: 1 })]) {
        const [learned] = learnShifts(Array.from({ length: n }, () => reckoned));
        expect(Math.abs((learned?.shift ?? 1) - 1)).toBeLessThan(0.02);
        expect(learned?.n).toBe(n);
      }
    const [learned] = learnShifts(Array.from({ length: 20 }, () => lifted));
    expect(learned?.shift).toBeLessThan(0.8);
  });
  it('keeps presses and transfers apart, and leaves out what heat is not to blame for', () => {
    const crooked = pressing({ outcome: 'spoiled', reason: 'crooked or misplaced' });
    expect(bondOutcome(crooked)).toBeNull();
    const found = learnShifts([lifted, pressing({ pressId: 'q' }), crooked, pressing({ productId: 'u', laidBack: 2 })]);
    expect(found.map(({ pressId, productId, n }) => [pressId, productId, n])).toEqual([
      ['p', 't', 1],
      ['q', 't', 1],
      ['p', 'u', 1],
    ]);
  });
});
