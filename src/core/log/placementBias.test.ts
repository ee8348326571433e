import { describe, expect, it } from 'vitest';
import { offPlaceText, placementBias, readOffPlace } from './index';

const at = (operator: string, yMm: number, xMm = 0) => ({ operator, position: 'left chest', xMm, yMm, turnDeg: 0 });

describe('where prints came to lie', () => {
  it('prints that always sit 6 mm low are told; prints that scatter about their place are not', () => {
    const low = [5, 7, 6, 5, 7].map((y) => at('MB', y));
    const scattered = [-6, 5, 1, -4, 6].map((y) => at('TO', y, y / 2));
    const [first, second] = placementBias([...low, ...scattered]);
    expect([first?.operator, first?.n, first?.down.mean, first?.down.sure, first?.across.sure]).toEqual(['MB', 5, 6, true, false]);
    expect([second?.operator, second?.down.sure]).toEqual(['TO', false]);
  });

  it('two measured ones are no habit yet unless they agree to a tenth', () => {
    expect(placementBias([at('MB', 6), at('MB', 4)])[0]?.down).toEqual({ mean: 5, sure: false });
    expect(placementBias([at('MB', 6)])[0]?.down.sure).toBe(false);
  });

  it('is carried by an amendment and read back; what is something else is not read', () => {
    expect(readOffPlace(offPlaceText({ xMm: -3, yMm: 6.5, turnDeg: 0.5 }))).toEqual({ xMm: -3, yMm: 6.5, turnDeg: 0.5 });
    expect([readOffPlace('withdrawn'), readOffPlace('1 2'), readOffPlace('900 0 0')]).toEqual([null, null, null]);
  });
});
