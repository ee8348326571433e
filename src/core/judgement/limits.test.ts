import { describe, expect, it } from 'vitest';
import { type Case, inputOf } from '../../../test/trade/check';
import { resolve } from '../card';

const boundOf = (entry: Omit<Case, 'says'>, side: string) => {
  const bound = resolve(inputOf({ says: side, ...entry })).window.bounds.find((b) => b.side === side);
  if (!bound) throw new TypeError(`no bound ${side}`);
  return bound.surfaceC;
};

describe('what the pre-press counts against', () => {
  const dyed = { on: 'polyester-tee', with: 'stretch-film' } as const;
  it('dye does not mind it, however long: no print lies on the cloth yet', () => {
    expect(boundOf({ ...dyed, figures: { prePressS: 30 } }, 'dye')).toBeCloseTo(boundOf({ ...dyed, figures: { prePressS: 0 } }, 'dye'), 6);
  });
  it('the bare cloth does: held longer than the press itself it marks cooler', () => {
    const [short, long] = [0, 30].map((prePressS) => boundOf({ ...dyed, figures: { prePressS } }, 'mark'));
    expect(long).toBeLessThan((short ?? 0) - 3);
  });
});
