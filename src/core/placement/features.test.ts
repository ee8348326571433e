import { describe, expect, it } from 'vitest';
import { type Blank, BUILT_IN_BLANKS, blankMeasures, type Obstruction } from '../materials';
import { featuresOf, isRaised, unplaced } from './features';
import { boundsOf } from './geometry';

const blank = (id: string) => BUILT_IN_BLANKS.find((blank) => blank.id === id) as Blank;
const of = (piece: Blank, position: Parameters<typeof featuresOf>[2], size = piece.sizes[0] ?? '') =>
  featuresOf(piece, blankMeasures(piece, size), position);
const with_ = (id: string, obstructions: Obstruction[]): Blank => ({ ...blank(id), obstructions });
const entry = (kind: Obstruction['kind'], heightMm = 3): Obstruction => ({ kind, heightMm, at: [] });

describe('what stands up on a blank', () => {
  it('a jacket: zip down the middle, seams at arms and sides, collar; all raised', () => {
    const features = of(blank('nylon-jacket'), 'left chest', 'M').filter((f) => f.layer === 'this');
    expect(features.map((f) => f.kind).sort()).toEqual(['collar', 'seam', 'zip']);
    expect(features.every(isRaised)).toBe(true);
    const zip = boundsOf(features.find((f) => f.kind === 'zip')?.pieces.flat() ?? []);
    expect([zip.leftMm, zip.widthMm, zip.topMm + zip.heightMm]).toEqual([-12, 24, 720]);
  });

  it('a tee’s collar stands between its seam and the neck opening, 20 wide, and the back’s is seen through the front', () => {
    const [front] = of(blank('cotton-tee'), 'full front', 'M');
    const bounds = boundsOf(front?.pieces.flat() ?? []);
    expect([bounds.topMm, bounds.topMm + bounds.heightMm, bounds.widthMm]).toEqual([0, 90, 180]);
    const under = of(blank('cotton-tee'), 'full front', 'M').filter((f) => f.layer === 'under');
    expect(under.map((f) => f.kind)).toEqual(['collar']);
  });

  it('what hangs loose is laid aside by hand and has no place; named for a position without a place, it is still in the way there', () => {
    const hoodie = with_('fleece-hoodie', [{ kind: 'drawcord', heightMm: 5, at: ['left chest'] }]);
    expect(of(hoodie, 'left chest', 'M').some((f) => f.kind === 'drawcord')).toBe(false);
    const measures = blankMeasures(hoodie, 'M');
    expect(unplaced(hoodie, measures, 'left chest').map((o) => o.kind)).toEqual(['drawcord']);
    expect(unplaced(hoodie, measures, 'full back')).toEqual([]);
  });

  it('one that lies elsewhere lies where its owner says', () => {
    const pocket = with_('cotton-tee', [
      { ...entry('pocket'), where: { panel: 'front', xMm: -90, yMm: 260, widthMm: 100, heightMm: 120 } },
    ]);
    const bounds = boundsOf(
      of(pocket, 'full front', 'M')
        .find((f) => f.kind === 'pocket')
        ?.pieces.flat() ?? [],
    );
    expect(bounds).toEqual({ leftMm: -140, topMm: 200, widthMm: 100, heightMm: 120 });
    expect(of(pocket, 'upper back', 'M').find((f) => f.kind === 'pocket')?.layer).toBe('under');
  });

  it('every kind has a place where it is usual', () => {
    const places: [string, Parameters<typeof featuresOf>[2], Obstruction['kind'], number][] = [
      ['cotton-tee', 'full front', 'placket', 1],
      ['cotton-tee', 'left chest', 'badge area', 1],
      ['nylon-jacket', 'left chest', 'button', 7],
      ['fleece-hoodie', 'left chest', 'pocket', 1],
      ['sport-shorts', 'leg', 'seam', 4],
      ['canvas-apron', 'bib', 'strap', 2],
      ['canvas-apron', 'bib', 'badge area', 1],
      ['canvas-tote', 'tote front', 'strap', 2],
      ['canvas-cap', 'cap front', 'seam', 1],
    ];
    for (const [id, position, kind, pieces] of places) {
      const piece = with_(id, [entry(kind)]);
      const size = piece.sizes.includes('M') ? 'M' : (piece.sizes[0] ?? '');
      const found = of(piece, position, size).find((f) => f.kind === kind && f.layer === 'this');
      expect([id, kind, found?.pieces.length]).toEqual([id, kind, pieces]);
    }
  });

  it('a waistband, a brim and a hole are there without being listed', () => {
    expect(of(blank('sport-shorts'), 'leg', 'M').map((f) => f.kind)).toContain('waistband');
    expect(of(blank('canvas-cap'), 'cap front').map((f) => f.kind)).toContain('brim');
    const holed = {
      ...blank('wooden-tag'),
      obstructions: [],
      cut: { size: 'one size', measures: { width: 90, height: 50, bevel: 0, hole: 6, holeFrom: 8, pocket: 0 } },
    };
    expect(of(holed, 'face').map((f) => [f.kind, f.noArt])).toEqual([['hanging hole', true]]);
  });
});
