import { describe, expect, it } from 'vitest';
import { passage, pieceOf } from '../../../test/columns';
import { press, tempAt } from '../heat';
import { adhesiveOfQuery, bandOfQuery, correctQuery, type HeatQuery, HeatQuerySchema, PeelQuerySchema, peelOfQuery, simulate } from '.';

const query = (over: Partial<HeatQuery['passage']> = {}, damp = false): HeatQuery => ({
  piece: pieceOf('cotton jersey', { cover: true, damp }),
  passage: passage({ prePressS: 4, cooling: { where: 'air', forS: 200 }, ...over }),
  adhesive: { softenC: 105, reference: { piece: pieceOf('cotton jersey'), surfaceC: 150, timeS: 10 }, shift: 1 },
  limits: { markC: 175, damageC: 200, dyeC: null },
});

describe('what is seen of a pressing', () => {
  const seen = simulate(query({}, true));
  it('has curves thin enough to draw that still read as the full ones do, jumps and all', () => {
    const full = press(query({}, true).piece, query().passage, adhesiveOfQuery(query()), query().limits, {
      resolution: 1,
      toleranceK: 0.03,
    });
    const glue = full.art.curves.glue;
    if (!glue) throw new TypeError('no glue');
    const { timeS, tempC } = seen.curves.glue;
    expect(timeS.length).toBeLessThan(600);
    const drawn = { timeS: Float64Array.from(timeS), tempC: Float64Array.from(tempC) };
    const shut = seen.stages.find(({ name }) => name === 'press');
    for (let t = 0.02; t < 10; t += 0.013) {
      const at = (shut?.fromS ?? 0) + t;
      expect(Math.abs(tempAt(drawn, at) - tempAt(glue, at))).toBeLessThan(0.11);
    }
    // right before the press shuts the glue is still as cool as it lay
    expect(tempAt(drawn, (shut?.fromS ?? 0) - 0.05)).toBeLessThan(70);
  });
  it('tells stages that follow each other without a gap, and which of them are shut', () => {
    seen.stages.slice(1).forEach((stage, i) => {
      expect(stage.fromS).toBeCloseTo(seen.stages[i]?.toS ?? Number.NaN, 9);
    });
    expect(seen.stages.filter(({ shut }) => shut).map(({ name }) => name)).toEqual(['pre-press', 'press']);
  });
  it('water goes from what the cloth held to nearly none, and heat went in', () => {
    expect(seen.waterGm2.loaded).toBeGreaterThan(10);
    expect(seen.waterGm2.left).toBeLessThan(0.2 * seen.waterGm2.loaded);
    expect(seen.heatInKJm2).toBeGreaterThan(50);
  });
});

describe('answers to an ask', () => {
  it('a learned shift multiplies the bond, and the correction asks for the time that makes it good', () => {
    const weak = { ...query(), adhesive: { ...query().adhesive, shift: 0.85 } };
    expect(simulate(weak).read.bond / simulate(query()).read.bond).toBeCloseTo(0.85, 6);
    const allowed = { timeS: { min: 6, max: 40 }, surfaceC: { min: 150, max: 150 } };
    const { correction, helps } = correctQuery(weak, allowed);
    expect(correction.feasible).toBe(true);
    expect(correction.timeS).toBeGreaterThan(correctQuery(query(), allowed).correction.timeS);
    expect(helps.find(({ of }) => of === 'cover')?.glueK).toBeGreaterThan(0);
  });
  it('a doubtful platen or shift widens the band', () => {
    const width = (doubt: { platenK: number; shiftSd: number }) => {
      const { low, high } = bandOfQuery(query(), doubt);
      return high / low;
    };
    expect(width({ platenK: 4, shiftSd: 0 })).toBeGreaterThan(width({ platenK: 1, shiftSd: 0 }));
    expect(width({ platenK: 1, shiftSd: 0.15 })).toBeGreaterThan(width({ platenK: 1, shiftSd: 0 }));
  });
  it('a table cools sooner than air, and a weight of metal sooner still', () => {
    const { piece, passage: own } = query();
    const warm = (where: 'air' | 'table' | 'weight') => peelOfQuery({ piece, passage: own, where }).warmS ?? Number.POSITIVE_INFINITY;
    expect(warm('table')).toBeLessThan(warm('air'));
    expect(warm('weight')).toBeLessThan(warm('table'));
  });
});

describe('what cannot be asked', () => {
  const faults = (entry: unknown) =>
    HeatQuerySchema.safeParse(entry).error?.issues.map(({ path, message }) => `${path.join('.')}: ${message}`) ?? [];
  const bare = { ...query().piece, stack: query().piece.stack.filter(({ role }) => role !== 'transfer') };
  it('a stack without a transfer, its own or the supplier’s', () => {
    expect(faults({ ...query(), piece: bare })).toEqual(['piece.stack: There is no transfer in this stack: add what is pressed on.']);
    expect(faults({ ...query(), adhesive: { ...query().adhesive, reference: { ...query().adhesive.reference, piece: bare } } })[0]).toMatch(
      /^adhesive.reference.piece.stack/,
    );
    expect(PeelQuerySchema.safeParse({ piece: bare, passage: query().passage, where: 'air' }).success).toBe(false);
  });
  it('glue that never softens, a mark limit over the damage limit, the pressure of an air line on the piece', () => {
    expect(faults({ ...query(), adhesive: { ...query().adhesive, softenC: 190 } })[0]).toMatch(/would never soften/);
    expect(faults({ ...query(), limits: { markC: 210, damageC: 190, dyeC: null } })[0]).toMatch(/mark limit lies over/);
    expect(faults({ ...query(), piece: { ...query().piece, contactKPa: 276 } })[0]).toMatch(/Is this the pressure of the air line/);
    expect(faults(query())).toEqual([]);
  });
});
