import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs, share } from '../../../test/runs';
import {
  type Blank,
  BlankSchema,
  BUILT_IN_BLANKS,
  blankMeasures,
  bySize,
  contradictions,
  cutOf,
  MEASURES,
  PANELS,
  readHatSize,
  readSize,
  shapeOf,
  UnknownSize,
} from '../materials';
import { outlineOf, type Point, type Ring } from './index';

const tee = BUILT_IN_BLANKS.find((blank) => blank.id === 'cotton-tee') as Blank;

/** Whether two sides of a ring that do not meet at a corner cross each other. */
function crossesItself(ring: Ring): boolean {
  const side = (o: Point, a: Point, b: Point) => Math.sign((a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x));
  const at = (i: number) => ring[i % ring.length] as Point;
  for (let i = 0; i < ring.length; i++)
    for (let k = i + 2; k < ring.length; k++) {
      if (i === 0 && k === ring.length - 1) continue;
      const [a, b, c, d] = [at(i), at(i + 1), at(k), at(k + 1)];
      if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) return true;
    }
  return false;
}

const NECKS = fc.constantFrom('round' as const, 'V' as const, 'hood' as const, 'stand-up' as const);
/** A built-in blank with every measure some way off, or measures out of nowhere. */
const anyCut = fc.constantFrom(...BUILT_IN_BLANKS).chain((blank) => {
  const shape = shapeOf(blank);
  const names = Object.keys(MEASURES[shape]);
  const usual = cutOf(blank).measures;
  return fc.tuple(
    fc.constant(shape),
    NECKS,
    fc.oneof(
      fc.record(Object.fromEntries(names.map((name) => [name, fc.integer({ min: 0, max: 900 })]))),
      fc.record(
        Object.fromEntries(
          names.map((name) => [name, fc.integer({ min: 50, max: 180 }).map((percent) => ((usual[name] ?? 0) * percent) / 100)]),
        ),
      ),
    ),
  );
});

describe('the cut of a blank', () => {
  it('measures that go together are drawn without a crossing, whatever they are; those that do not are named', () => {
    let drawn = 0;
    fc.assert(
      fc.property(anyCut, ([shape, neck, measures]) => {
        const faults = contradictions(shape, measures);
        for (const { measure, message } of faults) expect([measure in MEASURES[shape], message.length > 10]).toEqual([true, true]);
        if (faults.length > 0) return;
        for (const panel of PANELS) {
          const ring = outlineOf({ shape, neck, measures, taken: true }, panel);
          if (!ring) continue;
          drawn++;
          expect(ring.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y))).toBe(true);
          expect(crossesItself(ring)).toBe(false);
        }
      }),
      runs(4000),
    );
    expect(drawn).toBeGreaterThan(0.25 * share(4000));
  });

  it('sizes are read as people write them, and stand from small to large', () => {
    expect(readSize('XXL')).toEqual(readSize('2XL'));
    expect(readSize('youth m')).toEqual({ group: 'youth', step: 0, long: false });
    expect(readSize('LT')).toEqual({ group: 'adult', step: 1, long: true });
    expect([readSize('ladies 12'), readSize('X'), readSize('')]).toEqual([null, null, null]);
    expect(['3XL', 'YM', 'S', 'one size', 'XXL', 'YS', 'M'].sort(bySize)).toEqual(['YS', 'YM', 'S', 'M', 'XXL', '3XL', 'one size']);
  });

  it('babies, toddlers and children are read by months, age or height, and one height by whichever way it is written', () => {
    const heightOf = (text: string) => {
      const size = readSize(text);
      return size?.group === 'child' ? size.heightCm : null;
    };
    expect(['6-12 M', '12 months', '80 cm', '80', '74-80'].map(heightOf)).toEqual([80, 80, 80, 80, 80]);
    expect(['4T', '3-4', '3/4', 'age 4', '4 yrs', '4Y', '104', '98–104'].map(heightOf)).toEqual([104, 104, 104, 104, 104, 104, 104, 104]);
    expect(['0-3M', 'NB', '11-12Y'].map(heightOf)).toEqual([62, 54, 152]);
    expect(['YM', '12', '38-40', '3-9', '190 cm', '2XL'].map(heightOf)).toEqual([null, null, null, null, null, null]);
    expect(['M', 'YS', '116', '3-6M', '5-6', '4T', 'XS'].sort(bySize)).toEqual(['3-6M', '4T', '116', '5-6', 'YS', 'XS', 'M']);
  });

  it('numbers follow a number that was measured, and no letter; hats follow the girth of a head', () => {
    expect(readSize('38')).toEqual(readSize('EU 38'));
    expect(readSize('37')).toBeNull();
    const measures = { chest: 500, length: 700, neck: 180, frontDrop: 95, shoulder: 440, sleeve: 0 };
    const of = (size: string) => blankMeasures({ ...tee, cut: { size: '40', measures } }, size).measures;
    expect([of('42').chest, of('38').chest, of('50').length]).toEqual([520, 480, 750]);
    expect(() => of('M')).toThrow(UnknownSize);
    const girth = (text: string) => {
      const hat = readHatSize(text);
      return hat?.group === 'hat' ? Math.round(10 * hat.girthCm) / 10 : null;
    };
    // a hat of 7¼ is 7.25 in across, so 57.8 cm round
    expect(['7 1/4', '7¼', '58', '57-58 cm', '7', '12'].map(girth)).toEqual([57.9, 57.9, 58, 58, 55.9, null]);
    const cap = BUILT_IN_BLANKS.find((blank) => blank.id === 'canvas-cap') as Blank;
    const head = { size: '58', measures: { crown: 110, front: 150, top: 110, brim: 70 } };
    expect(blankMeasures({ ...cap, cut: head }, '54').measures).toMatchObject({ front: 139.6, crown: 106, brim: 70 });
    expect(blankMeasures(cap, 'one size').measures.front).toBe(150);
  });

  it('a child’s shirt is graded by height from a youth one, and is never wider than the next', () => {
    const of = (size: string) => blankMeasures({ kind: 'youth tee' }, size).measures;
    expect(of('146 cm')).toEqual(of('YM'));
    const sizes = ['0-3M', '3-6M', '6-12M', '12-18M', '2T', '3T', '4T', '5-6', '7-8', '9-10', '11-12', '13-14'];
    const [chests, lengths] = (['chest', 'length'] as const).map((name) => sizes.map((size) => of(size)[name] ?? 0));
    for (const list of [chests, lengths]) expect([...(list ?? [])].sort((a, b) => a - b)).toEqual(list);
    expect(Math.min(...(chests ?? []))).toBeGreaterThan(190);
    for (const size of sizes) expect(contradictions('body', of(size))).toEqual([]);
  });

  it('other sizes follow the measured one by the grade; a size measured by itself stands', () => {
    const cut = {
      size: 'M',
      measures: { chest: 530, length: 730, neck: 180, frontDrop: 95, shoulder: 460, sleeve: 0 },
      bySize: { XL: { chest: 640 } },
    };
    const of = (size: string) => blankMeasures({ ...tee, cut }, size).measures;
    expect([of('L').chest, of('L').length, of('L').sleeve]).toEqual([580, 755, 0]);
    expect([of('XL').chest, of('XL').length]).toEqual([640, 780]);
    expect(of('LT').length).toBe(805);
    expect(() => of('ladies 12')).toThrow(UnknownSize);
    expect(blankMeasures(tee, 'M').taken).toBe(false);
  });

  it('a flat piece takes its sides from its size where they stand in it', () => {
    const tag = BUILT_IN_BLANKS.find((blank) => blank.id === 'wooden-tag') as Blank;
    expect(blankMeasures(tag, '120 × 40 mm').measures).toMatchObject({ width: 120, height: 40 });
    expect(blankMeasures({ ...tag, kind: 'journal' }, 'A5').measures).toMatchObject({ width: 148, height: 210 });
  });

  it('a blank whose measures contradict each other is refused at the measure, in whichever size', () => {
    const at = (change: Partial<Blank>) =>
      BlankSchema.safeParse({ ...tee, ...change }).error?.issues.map((issue) => issue.path.join('.')) ?? [];
    const measures = { chest: 520, length: 720, neck: 180, frontDrop: 90, shoulder: 460, sleeve: 210 };
    expect(at({ cut: { size: 'M', measures } })).toEqual([]);
    expect(at({ cut: { size: 'M', measures: { ...measures, neck: 530 } } })).toContain('cut.measures.neck');
    expect(at({ cut: { size: 'M', measures, bySize: { L: { neck: 600 } } } })).toContain('cut.bySize.L.neck');
    expect(at({ cut: { size: 'M', measures }, sizes: ['M', 'ladies 12'] })).toContain('sizes');
    const where = { panel: 'front' as const, xMm: 0, yMm: 900, widthMm: 20, heightMm: 20 };
    expect(at({ obstructions: [{ kind: 'pocket', heightMm: 2, at: [], where }] })).toEqual(['obstructions.0.where']);
    expect(at({ obstructions: [{ kind: 'pocket', heightMm: 2, at: [], where: { ...where, panel: 'crown' } }] })).toEqual([
      'obstructions.0.where.panel',
    ]);
  });
});
