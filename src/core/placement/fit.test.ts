import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs, share } from '../../../test/runs';
import type { Feature } from './features';
import { bestFit, fitAt } from './fit';
import { band, boundsOf, disc, type Point, point, type Ring, rect } from './geometry';
import type { FitQuery, Lay } from './lays';

const feature = (kind: string, pieces: Ring[], heightMm = 3, layer: Feature['layer'] = 'this'): Feature => ({
  kind,
  heightMm,
  pieces,
  layer,
  noArt: false,
});
const around = (x: number, y: number, w: number, h: number) => ({ leftMm: x - w / 2, topMm: y - h / 2, widthMm: w, heightMm: h });
const PLATEN = { widthMm: 400, heightMm: 500 };
const query = (change: Partial<FitQuery>): FitQuery => ({
  art: around(0, 0, 100, 100),
  features: [],
  heated: PLATEN,
  base: change.heated ?? PLATEN,
  threadedBetween: null,
  under: { sinksMm: 0 },
  bridges: false,
  keepOff: [],
  ...change,
});

describe('a lay on a platen', () => {
  it('with nothing in the way the art lies in the middle, not turned', () => {
    expect(bestFit(query({}))).toEqual({ feasible: true, lay: { xMm: 0, yMm: 0, turn: 0 }, clearanceMm: expect.closeTo(140, 1) });
  });

  it('a collar 60 above the art hangs off the back edge, with room on either side', () => {
    const collar = feature('collar', [rect(-100, -130, 200, 20)], 2);
    // between the collar’s lower edge at −110 and the margin at −60 there are 50: 25 to either side, of which 15 are enough
    const fit = bestFit(query({ features: [collar] }));
    expect(fit).toMatchObject({ feasible: true, lay: { xMm: 0, turn: 0 } });
    if (fit.feasible) {
      expect(fit.lay.yMm).toBeCloseTo(-250 + 110 - 15, 1);
      expect(fit.clearanceMm).toBeCloseTo(15, 1);
    }
  });

  it('a zip down the middle and a side seam leave no room for a full platen, and all of it for a small one', () => {
    const zip = feature('zip', [rect(-117, -300, 24, 700)], 4);
    const seam = feature('side seam', [rect(180, -300, 8, 700)], 2);
    expect(bestFit(query({ features: [zip, seam] }))).toMatchObject({
      feasible: false,
      art: 'held off',
      inTheWay: [{ kind: 'zip' }, { kind: 'side seam' }],
    });
    expect(bestFit(query({ features: [zip, seam], heated: { widthMm: 150, heightMm: 150 } }))).toMatchObject({ feasible: true });
    expect(bestFit(query({ features: [zip, seam], under: { sinksMm: 5 } }))).toMatchObject({ feasible: true });
    expect(bestFit(query({ features: [zip, seam], under: 'pad' }))).toMatchObject({ feasible: true });
  });

  it('a zip under the art itself is helped by nothing; a seam is, where the art is meant to cross it', () => {
    const zip = feature('zip', [rect(-12, -300, 24, 700)], 4);
    const seam = feature('seam', [rect(-4, -300, 8, 700)], 2);
    for (const under of [{ sinksMm: 0 }, { sinksMm: 9 }, 'pad'] as const)
      expect(bestFit(query({ features: [zip], under }))).toMatchObject({ feasible: false, art: 'on something raised' });
    expect(bestFit(query({ features: [seam], bridges: true })).feasible).toBe(true);
    expect(bestFit(query({ features: [seam] })).feasible).toBe(false);
  });

  it('what lies under the garment counts laid flat, and hangs below the base when it is threaded', () => {
    const hood = feature('collar', [rect(-300, -300, 600, 800)], 6, 'under');
    const sides = [rect(-252, -400, 2, 800), rect(250, -400, 2, 800)];
    expect(bestFit(query({ features: [hood] })).feasible).toBe(false);
    expect(bestFit(query({ features: [hood], threadedBetween: sides })).feasible).toBe(true);
    // a base wider than the body does not go in
    expect(bestFit(query({ features: [hood], threadedBetween: [rect(-180, -400, 2, 800), rect(178, -400, 2, 800)] })).feasible).toBe(false);
  });

  it('art that fits only the long way is turned; art larger than the platen is refused as such', () => {
    expect(bestFit(query({ art: around(0, 0, 450, 300) }))).toMatchObject({ feasible: true, lay: { turn: 90 } });
    expect(bestFit(query({ art: around(0, 0, 450, 450) }))).toEqual({ feasible: false, art: 'larger than the platen', inTheWay: [] });
    expect(bestFit(query({ art: around(0, 0, 380, 480) }))).toMatchObject({ feasible: true, clearanceMm: expect.closeTo(0.01, 2) });
  });

  it('a cold corner is kept off, by shifting the piece no farther than it must', () => {
    const fit = bestFit(query({ art: around(0, 0, 250, 250), keepOff: [{ xMm: -150, yMm: 200, radiusMm: 30 }] }));
    if (!fit.feasible) throw new Error('it fits');
    expect(Math.hypot(fit.lay.xMm, fit.lay.yMm)).toBeLessThan(60);
    expect(fitAt(query({ art: around(0, 0, 250, 250), keepOff: [{ xMm: -150, yMm: 200, radiusMm: 30 }] }), fit.lay).feasible).toBe(true);
  });

  it('a lay that was chosen is told what it lies on', () => {
    const zip = feature('zip', [rect(-117, -300, 24, 700)], 4);
    expect(fitAt(query({ features: [zip] }), { xMm: 0, yMm: 0, turn: 0 })).toEqual({
      feasible: false,
      art: 'held off',
      inTheWay: [{ kind: 'zip', heightMm: 4 }],
    });
    expect(fitAt(query({ features: [zip] }), { xMm: -135, yMm: 0, turn: 0 })).toMatchObject({
      feasible: true,
      clearanceMm: expect.closeTo(5, 1),
    });
    expect(fitAt(query({}), { xMm: 160, yMm: 0, turn: 0 })).toMatchObject({ feasible: false, art: 'larger than the platen' });
  });
});

// ── against a raster, over random blanks ──

const side = (min: number, max: number) => fc.integer({ min, max });
const somewhere = fc.tuple(side(-220, 220), side(-260, 330));
const features: fc.Arbitrary<Feature[]> = fc
  .array(
    fc.oneof(
      fc.tuple(somewhere, side(6, 60), side(6, 240)).map(([[x, y], w, h]) => feature('pocket', [rect(x, y, w, h)])),
      fc.tuple(somewhere, side(8, 24)).map(([[x, y], across]) => feature('rivet', [disc(x, y, across)])),
      fc
        .tuple(somewhere, somewhere, side(6, 16))
        .map(([[x, y], [u, v], wide]) => feature('seam', band([point(x, y), point((x + u) / 2 + 20, (y + v) / 2), point(u, v)], wide))),
      side(-220, 220).map((x) => feature('zip', [rect(x, -320, 24, 760)], 4)),
    ),
    { minLength: 0, maxLength: 5 },
  )
  .chain((list) =>
    fc
      .array(fc.tuple(fc.constantFrom(1, 2, 3, 4, 8), fc.constantFrom('this' as const, 'this' as const, 'under' as const)), {
        minLength: list.length,
        maxLength: list.length,
      })
      .map((more) => list.map((feature, i) => ({ ...feature, heightMm: more[i]?.[0] ?? 3, layer: more[i]?.[1] ?? 'this' }))),
  );

const queries: fc.Arbitrary<FitQuery> = fc
  .record({
    at: fc.tuple(side(-60, 60), side(-60, 60)),
    art: fc.tuple(side(40, 300), side(40, 300)),
    features,
    platen: fc.tuple(side(120, 420), side(120, 520)),
    baseLess: fc.constantFrom(0, 0, 40),
    half: fc.option(side(200, 320), { nil: null }),
    sinksMm: fc.constantFrom(0, 0, 5),
    // in nine of ten the art nearly fills the platen one way, or just does not
    tight: fc.option(side(-6, 16), { nil: null, freq: 9 }),
  })
  .map(({ tight, ...rest }) =>
    tight === null ? rest : { ...rest, art: [Math.max(30, rest.platen[0] - 20 - tight), rest.art[1]] as [number, number] },
  )
  .filter(({ art: [w, h], platen: [pw, ph] }) => Math.min(w, h) + 20 <= Math.min(pw, ph) + 40)
  .map(({ at: [x, y], art: [w, h], platen: [pw, ph], baseLess, half, sinksMm, features: list }) =>
    query({
      art: around(x, y, w, h),
      features: list,
      heated: { widthMm: pw, heightMm: ph },
      base: { widthMm: pw - baseLess, heightMm: ph - baseLess },
      threadedBetween: half === null ? null : [rect(-half, -400, 2, 900), rect(half, -400, 2, 900)],
      under: { sinksMm },
    }),
  );

/** Points of a convex ring 3 mm apart, its edge among them. */
function raster(ring: Ring): Point[] {
  const { leftMm, topMm, widthMm, heightMm } = boundsOf(ring);
  const edge = ring.flatMap((a, i) => {
    const b = ring[(i + 1) % ring.length] as Point;
    const n = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / 3));
    return Array.from({ length: n }, (_, k) => point(a.x + ((b.x - a.x) * k) / n, a.y + ((b.y - a.y) * k) / n));
  });
  const within: Point[] = [];
  for (let x = leftMm; x <= leftMm + widthMm; x += 3)
    for (let y = topMm; y <= topMm + heightMm; y += 3)
      if (
        ring.every((a, i) => {
          const b = ring[(i + 1) % ring.length] as Point;
          return (b.x - a.x) * (y - a.y) - (b.y - a.y) * (x - a.x) >= -1e-9;
        })
      )
        within.push(point(x, y));
  return [...edge, ...within];
}

const clockwise = (ring: Ring): Ring => {
  const area = ring.reduce((sum, a, i) => {
    const b = ring[(i + 1) % ring.length] as Point;
    return sum + a.x * b.y - b.x * a.y;
  }, 0);
  return area < 0 ? [...ring].reverse() : ring;
};

/** The raster of one ask: what must stay off the platen, and what the base cannot pass. Its own reading of the rule. */
function rasterOf({ features: list, threadedBetween, under, art }: FitQuery) {
  const sinks = under === 'pad' ? 0 : under.sinksMm;
  const raised = list.filter((feature) => feature.heightMm >= 1.2 && (feature.layer === 'this' || threadedBetween === null));
  const dots = (some: Feature[]) => some.flatMap((feature) => feature.pieces.flatMap((ring) => raster(clockwise(ring))));
  const [cx, cy] = [art.leftMm + art.widthMm / 2, art.topMm + art.heightMm / 2];
  const from = (list: Point[]) => list.map(({ x, y }) => point(x - cx, y - cy));
  return {
    off: from(dots(raised.filter((feature) => feature.heightMm > sinks))),
    sides: from((threadedBetween ?? []).flatMap((ring) => raster(clockwise(ring)))),
    underArt: from(dots(raised)),
  };
}

/** Whether a lay works on the raster: art with 10 mm on the heated platen, raised dots outside the pressed area. */
function works({ art, heated, base }: FitQuery, dots: ReturnType<typeof rasterOf>, { xMm, yMm, turn }: Lay, slack: number): boolean {
  const [w, h] = turn % 180 === 0 ? [art.widthMm, art.heightMm] : [art.heightMm, art.widthMm];
  if (Math.abs(xMm) + w / 2 + 10 > heated.widthMm / 2 + slack || Math.abs(yMm) + h / 2 + 10 > heated.heightMm / 2 + slack) return false;
  const [cos, sin] = [Math.round(Math.cos((turn * Math.PI) / 180)), Math.round(Math.sin((turn * Math.PI) / 180))];
  const within = (list: readonly Point[], hw: number, hh: number) =>
    list.some(({ x, y }) => Math.abs(x * cos - y * sin + xMm) < hw - slack && Math.abs(x * sin + y * cos + yMm) < hh - slack);
  if (within(dots.off, Math.min(heated.widthMm, base.widthMm) / 2, Math.min(heated.heightMm, base.heightMm) / 2)) return false;
  if (within(dots.sides, base.widthMm / 2, base.heightMm / 2)) return false;
  return !dots.underArt.some(({ x, y }) => Math.abs(x) < art.widthMm / 2 - slack && Math.abs(y) < art.heightMm / 2 - slack);
}

function worksOnGrid(query: FitQuery, dots: ReturnType<typeof rasterOf>): boolean {
  const { heated } = query;
  for (const turn of [0, 90, 180, 270] as const)
    for (let xMm = -Math.floor(heated.widthMm / 10) * 5; xMm <= heated.widthMm / 2; xMm += 5)
      for (let yMm = -Math.floor(heated.heightMm / 10) * 5; yMm <= heated.heightMm / 2; yMm += 5)
        if (works(query, dots, { xMm, yMm, turn }, 0)) return true;
  return false;
}

const eased = (query: FitQuery): FitQuery => ({
  ...query,
  heated: { widthMm: query.heated.widthMm + 20, heightMm: query.heated.heightMm + 20 },
  base: { widthMm: Math.max(1, query.base.widthMm - 20), heightMm: Math.max(1, query.base.heightMm - 20) },
});

describe('over random blanks, art and platens', () => {
  // biome-ignore lint/complexity/noExcessiveCognitiveComplexity: a raster beside every lay
  it('a lay called feasible is so on a raster; where none is called feasible, a 5 mm grid of lays finds none', () => {
    const seen = { infeasible: 0, near: 0, missed: 0, wrong: 0 };
    for (const query of fc.sample(queries, { ...runs(2000), seed: 4 })) {
      const fit = bestFit(query);
      const dots = rasterOf(query);
      if (fit.feasible) {
        if (!works(query, dots, fit.lay, 0.03)) seen.wrong++;
        if (fit.clearanceMm <= 10) seen.near++;
      } else {
        seen.infeasible++;
        if (fit.art !== 'on something raised' && bestFit(eased(query)).feasible) seen.near++;
        if (worksOnGrid(query, dots)) seen.missed++;
      }
    }
    expect(seen.wrong).toBe(0);
    expect(seen.infeasible).toBeGreaterThanOrEqual(0.2 * share(2000));
    expect(seen.near).toBeGreaterThanOrEqual(0.2 * share(2000));
    expect(seen.missed / seen.infeasible).toBeLessThanOrEqual(0.005);
  });

  it('one lay judged alone has the clearance it has among all, and stands or falls as on the raster', () => {
    const seen = { stands: 0, falls: 0 };
    const lays = fc.record({ xMm: side(-12, 12), yMm: side(-60, 60), turn: fc.constantFrom(0 as const, 90 as const, 270 as const) });
    fc.assert(
      fc.property(queries, lays, (query, lay) => {
        const best = bestFit(query);
        if (best.feasible) {
          const alone = fitAt(query, best.lay);
          expect(alone.feasible && alone.clearanceMm).toBeCloseTo(best.clearanceMm, 1);
        }
        const alone = fitAt(query, lay);
        // the dots of the raster are 3 mm apart: nearer to an edge than that it says nothing
        if (alone.feasible && alone.clearanceMm < 3) return;
        if (alone.feasible) {
          seen.stands++;
          expect(works(query, rasterOf(query), lay, 0.03)).toBe(true);
        } else {
          seen.falls++;
          expect(works(query, rasterOf(query), lay, -3.1)).toBe(false);
        }
      }),
      runs(3000),
    );
    expect(Math.min(seen.stands, seen.falls)).toBeGreaterThan(0.05 * share(3000));
  });
});
