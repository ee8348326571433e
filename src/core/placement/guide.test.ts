import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Blank, BUILT_IN_BLANKS, type Position } from '../materials';
import { type Guide, guideOf, guideSvg, printed, TILE_OVERLAP_MM, tilesOf } from './index';
import { place } from './place';

const blank = (id: string) => BUILT_IN_BLANKS.find((blank) => blank.id === id) as Blank;
const guide = (id: string, size: string, position: Position, widthMm: number, heightMm: number, words: string[] = []): Guide =>
  guideOf(
    place({ blank: blank(id), size, position, art: { widthMm, heightMm }, crossesSeam: false, tallRule: true, tapeStepMm: 5 }),
    words,
  );
const A4 = { widthMm: 210, heightMm: 297 };

describe('the guide', () => {
  it('hangs from the collar as it curves: the art stands 60 under its lowest point on an M', () => {
    const { lines, art } = guide('cotton-tee', 'M', 'full front', 250, 200);
    const seam = lines.find((line) => line.kind === 'seam')?.points ?? [];
    expect(seam.length).toBeGreaterThan(60);
    expect(art.topMm - Math.max(...seam.map((p) => p.y))).toBeCloseTo(60, 6);
    expect([art.widthMm, art.heightMm]).toEqual([250, 200]);
  });

  it('hangs from a straight line where the blank has one: a leg’s hem is under its art, a bib’s over it', () => {
    const level = (guide: Guide) => guide.lines.find((line) => line.kind === 'seam')?.points.map((p) => p.y) ?? [];
    const leg = guide('sport-shorts', 'M', 'leg', 80, 80);
    expect(new Set(level(leg)).size).toBe(1);
    expect((level(leg)[0] ?? 0) - leg.art.topMm - leg.art.heightMm).toBeCloseTo(50, 6);
    const bib = guide('canvas-apron', 'one size', 'bib', 150, 90);
    expect(bib.art.topMm - (level(bib)[0] ?? 0)).toBeCloseTo(85, 6);
  });

  it('holds everything it draws, whatever is placed', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('full front', 'left chest', 'upper back', 'sleeve', 'neck label'),
        fc.integer({ min: 10, max: 400 }),
        fc.integer({ min: 10, max: 400 }),
        (position, w, h) => {
          const { lines, widthMm, heightMm, art } = guide('cotton-tee', 'L', position as Position, w, h);
          for (const { points } of lines)
            for (const { x, y } of points) expect(x >= 0 && y >= 0 && x <= widthMm + 1e-6 && y <= heightMm + 1e-6).toBe(true);
          expect(art.leftMm >= 0 && art.leftMm + art.widthMm <= widthMm).toBe(true);
        },
      ),
    );
  });

  it('its pages cover it whole and show each other’s edge; what fits on one page stands on one', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 1500 }), fc.integer({ min: 20, max: 1500 }), (widthMm, heightMm) => {
        const area = printed(A4);
        const tiles = tilesOf({ widthMm, heightMm }, A4);
        const last = tiles.at(-1);
        expect((last?.leftMm ?? 0) + area.widthMm).toBeGreaterThanOrEqual(widthMm);
        expect((last?.topMm ?? 0) + area.heightMm).toBeGreaterThanOrEqual(heightMm);
        for (const tile of tiles) {
          const right = tiles.find((candidate) => candidate.row === tile.row && candidate.column === tile.column + 1);
          if (right) expect(tile.leftMm + area.widthMm - right.leftMm).toBeCloseTo(TILE_OVERLAP_MM, 6);
        }
        if (widthMm <= area.widthMm && heightMm <= area.heightMm) expect(tiles).toHaveLength(1);
      }),
    );
  });

  it('as SVG it has its true size, and names cannot break it', () => {
    const svg = guideSvg(guide('cotton-tee', 'M', 'full front', 250, 200, ['“Fox” & <Owl>']));
    const width = Number(/width="([\d.]+)mm"/.exec(svg)?.[1]);
    expect(svg).toContain(`viewBox="0 0 ${width} `);
    expect(svg).toContain('&amp; &lt;Owl&gt;');
    expect(svg).toContain('points="10,');
  });
});
