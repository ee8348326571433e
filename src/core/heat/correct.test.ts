import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { adhesive, CLOTHS, NO_LIMITS, passage, pieceOf, under } from '../../../test/columns';
import { isWhole, runs } from '../../../test/runs';
import { bondBand, COVER_SHEETS, type CorrectionQuery, correct, deviations, type Piece, press, SOUND, sensitivities } from './index';

const glue = adhesive();
const FINE = { resolution: 1.5, toleranceK: 0.004 };
const cloths = ['cotton jersey', 'polyester jersey', 'fleece', 'canvas'] as const;

const queries: fc.Arbitrary<CorrectionQuery> = fc
  .record({
    cloth: fc.constantFrom(...cloths),
    cover: fc.boolean(),
    damp: fc.boolean(),
    pillow: fc.boolean(),
    baseC: fc.integer({ min: 12, max: 60 }),
    roomC: fc.integer({ min: 12, max: 32 }),
    contactKPa: fc.integer({ min: 12, max: 35 }),
    surfaceC: fc.integer({ min: 138, max: 166 }),
    prePressS: fc.constantFrom(0, 5, 10),
    markC: fc.constantFrom(195, 175, 155, 145),
    spanS: fc.constantFrom([7, 12], [8, 16], [10, 18]),
    lowC: fc.constantFrom(140, 145),
  })
  .map(({ cloth, cover, damp, pillow, baseC, roomC, contactKPa, surfaceC, prePressS, markC, spanS, lowC }) => {
    const piece = pieceOf(cloth, { cover, damp, baseC, roomC, contactKPa });
    return {
      piece: pillow ? under(piece, 'pillow') : piece,
      passage: passage({ surfaceC, timeS: 10, prePressS }),
      adhesive: glue,
      limits: { markC, damageC: markC + 30, dyeC: null },
      allowed: { timeS: { min: spanS[0] as number, max: spanS[1] as number }, surfaceC: { min: lowC, max: lowC + 20 } },
      settable: (c: number) => Math.round(c),
    };
  });

/** What the setting really does, on a grid twice as fine. */
const check = ({ piece, limits }: CorrectionQuery, entry: { timeS: number; surfaceC: number }, given: CorrectionQuery) =>
  press(piece, { ...given.passage, timeS: entry.timeS, surfaceC: entry.surfaceC }, glue, limits, FINE).read;

describe('a correction', () => {
  it('of random pieces: bond 1 within 1 % where it can be, sound when rounded, no limit passed, and it says where it cannot', () => {
    const met = { feasible: 0, not: 0, moved: 0 };
    fc.assert(
      fc.property(queries, (query) => {
        const found = correct(query, { resolution: 0.6, toleranceK: 0.03 });
        const { timeS, surfaceC } = query.allowed;
        for (const setting of [found, found.rounded]) {
          expect(setting.timeS).toBeGreaterThanOrEqual(timeS.min - 1e-6);
          expect(setting.timeS).toBeLessThanOrEqual(timeS.max + 1e-6);
        }
        expect(found.surfaceC).toBeGreaterThanOrEqual(surfaceC.min - 1e-6);
        expect(found.surfaceC).toBeLessThanOrEqual(surfaceC.max + 1e-6);
        if (found.feasible) {
          met.feasible++;
          if (Math.abs(found.surfaceC - query.passage.surfaceC) > 0.1) met.moved++;
          const exact = check(query, found, query);
          expect(Math.abs(exact.bond - 1)).toBeLessThanOrEqual(0.01);
          expect(exact.mark).toBeLessThanOrEqual(1.005);
          expect(exact.damage).toBeLessThanOrEqual(1.005);
          expect(found.stoppedBy).toBeNull();
          const rounded = check(query, found.rounded, query);
          expect(rounded.bond).toBeGreaterThanOrEqual(SOUND.low);
          expect(rounded.bond).toBeLessThanOrEqual(SOUND.high);
          expect(Math.abs(rounded.bond - found.rounded.bond)).toBeLessThanOrEqual(0.01);
          expect(rounded.mark).toBeLessThanOrEqual(1.005);
          expect(rounded.damage).toBeLessThanOrEqual(1.005);
        } else {
          met.not++;
          expect(found.stoppedBy).not.toBeNull();
          expect(Math.abs(found.bond - 1)).toBeGreaterThan(1e-3);
        }
      }),
      { ...runs(1000), seed: 21 },
    );
    if (!isWhole) return;
    expect(met.feasible).toBeGreaterThan(75);
    expect(met.moved).toBeGreaterThan(15);
    expect(met.not).toBeGreaterThan(10);
  });

  const plain: CorrectionQuery = {
    piece: pieceOf('cotton jersey'),
    passage: passage(),
    adhesive: glue,
    limits: NO_LIMITS,
    allowed: { timeS: { min: 8, max: 16 }, surfaceC: { min: 145, max: 160 } },
  };
  it('leaves the supplier’s own piece as it is', () => {
    const found = correct(plain);
    expect(found.askedBond).toBeCloseTo(1, 3);
    expect(found.rounded).toMatchObject({ timeS: 10, surfaceC: 150 });
  });
  it('gives a covered piece some seconds more, at the same temperature', () => {
    const found = correct({ ...plain, piece: pieceOf('cotton jersey', { cover: true }) });
    expect(found.askedBond).toBeLessThan(0.97);
    expect(found.rounded.timeS).toBeGreaterThan(10);
    expect(found.surfaceC).toBe(150);
  });
  it('says what stops it: the sheet’s longest time, the shortest, or the cloth', () => {
    const cold = pieceOf('fleece', { damp: true, baseC: 10, roomC: 10, cover: true });
    expect(correct({ ...plain, piece: cold, allowed: { timeS: { min: 8, max: 10 }, surfaceC: { min: 140, max: 145 } } }).stoppedBy).toBe(
      'longest time',
    );
    expect(correct({ ...plain, allowed: { timeS: { min: 30, max: 40 }, surfaceC: { min: 155, max: 160 } } }).stoppedBy).toBe(
      'shortest time',
    );
    expect(correct({ ...plain, piece: cold, limits: { markC: 118, damageC: 160, dyeC: null } }).stoppedBy).toBe('mark');
  });
  it('a finish press has its share of the limit before the press gets its own', () => {
    const limits = { markC: 146, damageC: null, dyeC: null };
    const cold: CorrectionQuery = { ...plain, piece: pieceOf('cotton jersey', { cover: true, baseC: 15 }), limits };
    const finished = {
      ...cold,
      passage: passage({ finish: { surfaceC: 150, timeS: 6, cover: { role: 'cover', ...COVER_SHEETS.paper } } }),
    };
    const [without, withIt] = [correct(cold), correct(finished)];
    const unreserved = press(
      finished.piece,
      { ...finished.passage, timeS: without.timeS, surfaceC: without.surfaceC },
      glue,
      limits,
      FINE,
    ).read;
    expect(unreserved.mark).toBeGreaterThan(1.05);
    const read = press(finished.piece, { ...finished.passage, timeS: withIt.timeS, surfaceC: withIt.surfaceC }, glue, limits, FINE).read;
    expect(read.mark).toBeLessThanOrEqual(1.01);
  });
});

describe('what takes and what would help', () => {
  it('names every deviation with the kelvin it takes at the glue, the dearest first', () => {
    const cloth = { role: 'fabric' as const, name: 'cotton jersey', ...CLOTHS['cotton jersey'] };
    const piece = under(pieceOf('fleece', { cover: true, damp: true, baseC: 20 }), 'pillow');
    const found = deviations(piece, passage(), glue, { cloth, baseC: 45, covered: false, padOver: false, underlay: false });
    expect(found.map((entry) => entry.of).sort()).toEqual(['base', 'cloth', 'cover', 'damp', 'underlay']);
    const cover = found.find((candidate) => candidate.of === 'cover');
    expect(cover?.glueK).toBeGreaterThan(1);
    expect(cover?.bond).toBeGreaterThan(0.02);
    found.slice(1).forEach((entry, i) => {
      expect(Math.abs(entry.bond)).toBeLessThanOrEqual(Math.abs(found[i]?.bond ?? 0));
    });
    expect(
      deviations(pieceOf('cotton jersey'), passage(), glue, { cloth, baseC: 45, covered: false, padOver: false, underlay: false }),
    ).toEqual([]);
  });
  it('more heat, more time and more pressure help; the list begins with what helps most', () => {
    const found = sensitivities(pieceOf('cotton jersey', { cover: true, damp: true, baseC: 20 }), passage(), glue);
    for (const of of ['temperature', 'time', 'pressure', 'cover', 'pre-press', 'base'] as const)
      expect(found.find((candidate) => candidate.of === of)?.bond).toBeGreaterThan(0);
    expect(found[0]?.bond).toBe(Math.max(...found.map(({ bond }) => bond)));
  });
});

describe('the band of a bond', () => {
  it('agrees with pressing many pieces that differ at random', () => {
    const piece = pieceOf('cotton jersey', { damp: true });
    const doubt = { platenK: 3, shiftSd: 0 };
    const at = passage({ prePressS: 2 });
    const { low, high, bond } = bondBand(piece, at, glue, doubt);
    // a small linear congruential sequence through the normal's quantiles: chance that repeats
    let seed = 12345;
    const uniform = () => {
      seed = (seed * 1103515245 + 12345) % 2147483648;
      return (seed + 0.5) / 2147483648;
    };
    const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
    const vary = (piece: Piece): Piece => {
      const [thick, conductivity, water] = [1 + 0.08 * normal(), 1 + 0.12 * normal(), 1 + 0.25 * normal()];
      return {
        ...piece,
        stack: piece.stack.map((layer) => ({
          ...layer,
          k: layer.k * conductivity,
          thicknessMm: layer.role === 'fabric' ? layer.thicknessMm * thick : layer.thicknessMm,
          waterKgM2: Math.max(0, (layer.waterKgM2 ?? 0) * water),
        })),
      };
    };
    const bonds = Array.from({ length: 600 }, () => {
      const pressure = Math.sqrt(Math.max(0.2, 1 + 0.15 * normal()));
      const contact = Math.max(0.2, 1 + 0.3 * normal());
      const moved = vary({ ...piece, contactKPa: piece.contactKPa * contact });
      const value = press(moved, { ...at, surfaceC: at.surfaceC + 3 * normal() }, glue, NO_LIMITS, { resolution: 0.4, toleranceK: 0.05 })
        .read.bond;
      return (value / Math.sqrt(contact)) * pressure;
    }).sort((a, b) => a - b);
    const quantile = (share: number) => bonds[Math.floor(share * bonds.length)] as number;
    expect(Math.abs(Math.log(quantile(0.05) / low))).toBeLessThan(0.06);
    expect(Math.abs(Math.log(quantile(0.95) / high))).toBeLessThan(0.06);
    expect(low).toBeLessThan(bond);
  });
  it('a measured platen narrows it, and the chance of a sound piece rises', () => {
    const cold = pieceOf('cotton jersey', { cover: true });
    const [loose, tight] = [4, 0.5].map((platenK) => bondBand(cold, passage({ surfaceC: 148 }), glue, { platenK, shiftSd: 0 }));
    if (!loose || !tight) throw new TypeError('no band');
    expect(tight.high - tight.low).toBeLessThan(loose.high - loose.low);
    expect(loose.sources[0]?.of).toBe('platen');
    expect(loose.sources.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 10);
    const [sure, unsure] = [150, 150].map((surfaceC, i) =>
      bondBand(pieceOf('cotton jersey'), passage({ surfaceC }), glue, { platenK: i === 0 ? 1 : 8, shiftSd: 0 }),
    );
    expect(sure?.soundChance).toBeGreaterThan(unsure?.soundChance ?? 1);
  });
});
