import { describe, expect, it } from 'vitest';
import { type Blank, BUILT_IN_BLANKS, type Position } from '../materials';
import { type Art, type PlacementQuery, place } from './place';

const blank = (id: string, change: Partial<Blank> = {}): Blank => ({
  ...(BUILT_IN_BLANKS.find((blank) => blank.id === id) as Blank),
  ...change,
});
const tee = blank('cotton-tee');
const query = (piece: Blank, size: string, position: Position, art: Art, change: Partial<PlacementQuery> = {}): PlacementQuery => ({
  blank: piece,
  size,
  position,
  art,
  crossesSeam: false,
  tallRule: true,
  tapeStepMm: 5,
  ...change,
});
/** The first measure to lay the art by, as it is said. */
const first = (
  piece: Blank,
  size: string,
  position: Position,
  art: Art = { widthMm: 90, heightMm: 90 },
  change: Partial<PlacementQuery> = {},
) => {
  const { lay } = place(query(piece, size, position, art, change));
  const [one] = lay;
  return one && `${one.mm} ${one.way} from the ${one.from} to the ${one.to}`;
};
const faults = (piece: Blank, size: string, position: Position, art: Art, change: Partial<PlacementQuery> = {}) =>
  place(query(piece, size, position, art, change)).findings.map((finding) => `${finding.level}: ${finding.fault}`);

/** Worked by hand from the rules: XS stands at the least of a range, 3XL at its most, to 5 mm on the tape. */
const BY_HAND: [Blank, Position, Art, Record<string, string>][] = [
  [tee, 'full front', { widthMm: 250, heightMm: 250 }, { S: '55 down', M: '60 down', L: '65 down', '3XL': '80 down' }],
  [tee, 'left chest', { widthMm: 90, heightMm: 90 }, { S: '180 down', M: '185 down', '3XL': '200 down' }],
  [tee, 'upper back', { widthMm: 260, heightMm: 60 }, { S: '95 down', M: '100 down', L: '105 down' }],
  [tee, 'full back', { widthMm: 260, heightMm: 260 }, { XS: '90 down', M: '100 down', '3XL': '120 down' }],
  [tee, 'neck label', { widthMm: 50, heightMm: 40 }, { XS: '15 down', M: '20 down', '3XL': '30 down' }],
  [tee, 'sleeve', { widthMm: 60, heightMm: 60 }, { XS: '25 up', M: '30 up', '3XL': '40 up' }],
  [blank('sport-shorts'), 'leg', { widthMm: 80, heightMm: 80 }, { S: '45 up', M: '50 up', L: '55 up' }],
  [
    blank('youth-cotton-tee'),
    'youth front',
    { widthMm: 200, heightMm: 200 },
    { YXS: '40 down', YS: '45 down', YM: '50 down', YXL: '55 down' },
  ],
];

describe('where the art goes', () => {
  for (const [piece, position, art, sizes] of BY_HAND)
    it(`${position}: as worked by hand over the sizes`, () => {
      for (const [size, said] of Object.entries(sizes)) expect(`${size} ${first(piece, size, position, art)}`).toContain(`${size} ${said}`);
    });

  it('of one size: a cap 15 up from the brim seam, a bib 85 below its hem, a tote a quarter down, a coaster in its middle', () => {
    expect(first(blank('canvas-cap'), 'one size', 'cap front', { widthMm: 60, heightMm: 50 })).toBe(
      '15 up from the brim seam to the bottom edge',
    );
    expect(first(blank('canvas-apron'), 'one size', 'bib')).toBe('85 down from the bib top hem to the top edge');
    expect(first(blank('canvas-tote'), 'one size', 'tote front', { widthMm: 230, heightMm: 230 })).toBe(
      '105 down from the tote top hem to the top edge',
    );
    const { box } = place(query(blank('glass-coaster'), 'one size', 'face', { widthMm: 80, heightMm: 80 }));
    expect(box).toEqual({ leftMm: -40, topMm: 10, widthMm: 80, heightMm: 80 });
  });

  it('left chest: the middle of the art 100 to the wearer’s left on an M, 115 on a 3XL', () => {
    const across = (size: string) => place(query(tee, size, 'left chest', { widthMm: 90, heightMm: 90 })).lay[1];
    expect(across('M')).toEqual({ from: 'centre line', to: 'middle', way: 'to the wearer’s left', mm: 100 });
    expect(across('3XL')?.mm).toBe(115);
  });

  it('a V-neck is measured from its point, 35 on an M; tall art hangs higher, 25 on an M', () => {
    const vNeck = {
      ...tee,
      cut: { size: 'M', neck: 'V' as const, measures: { chest: 520, length: 720, neck: 180, frontDrop: 160, shoulder: 460, sleeve: 210 } },
    };
    expect(first(vNeck, 'M', 'full front', { widthMm: 250, heightMm: 250 })).toBe('35 down from the point of the V to the top edge');
    expect(first(tee, 'M', 'full front', { widthMm: 280, heightMm: 460 })).toBe('25 down from the front collar seam to the top edge');
    expect(first(tee, 'M', 'full front', { widthMm: 280, heightMm: 450 })).toBe('60 down from the front collar seam to the top edge');
  });

  it('youth and long sizes take the adult figure by the length of their body', () => {
    // YM: 65 of 720, on 560; LT: 65 on 795 instead of 745
    expect(first(blank('youth-cotton-tee'), 'YM', 'full front', { widthMm: 200, heightMm: 200 })).toBe(
      '50 down from the front collar seam to the top edge',
    );
    expect(first(tee, 'LT', 'full front', { widthMm: 250, heightMm: 250 })).toBe('70 down from the front collar seam to the top edge');
    expect(first(tee, 'L long', 'left chest')).toBe('200 down from the shoulder-neck point to the top edge');
  });

  it('a neck that is drawn to fit is no line to measure from: it is measured from the shoulder', () => {
    const drawn = {
      ...tee,
      cut: {
        size: 'M',
        neck: 'adjustable' as const,
        measures: { chest: 520, length: 720, neck: 180, frontDrop: 90, shoulder: 460, sleeve: 210 },
      },
    };
    const { lay, anchorMoved } = place(query(drawn, 'M', 'full front', { widthMm: 250, heightMm: 250 }));
    expect([lay[0]?.from, lay[0]?.mm, anchorMoved]).toEqual(['shoulder-neck point', 150, true]);
  });

  it('a house that prints lower says so, and an inch tape is read to an eighth', () => {
    const places = { 'full front': { offsetMm: { min: 100, max: 100 } } };
    expect(first(tee, 'M', 'full front', { widthMm: 250, heightMm: 250 }, { places })).toContain('100 down');
    const inches = place(query(tee, 'M', 'full front', { widthMm: 250, heightMm: 250 }, { tapeStepMm: 25.4 / 8 })).lay[0]?.mm ?? 0;
    expect((inches / 25.4) * 8).toBeCloseTo(19, 9);
  });

  it('seen from behind, what lies to the right is to the wearer’s right; a tag has no wearer', () => {
    const across = (piece: Blank, position: Position) =>
      place(query(piece, piece.sizes[0] ?? '', position, { widthMm: 30, heightMm: 20 }, { moved: { xMm: 12, yMm: 0 } })).lay.at(-1)?.way;
    expect(across(tee, 'full front')).toBe('to the wearer’s left');
    expect(across(tee, 'upper back')).toBe('to the wearer’s right');
    expect(across(blank('wooden-tag'), 'face')).toBe('to the right');
  });

  it('moved by hand, the measures say where it is now, whichever side of the line it comes to lie', () => {
    const moved = place(query(tee, 'M', 'full front', { widthMm: 250, heightMm: 250 }, { moved: { xMm: -12, yMm: 30 } }));
    expect(moved.lay.map(({ mm, way }) => `${mm} ${way}`)).toEqual(['90 down', '12 to the wearer’s right']);
    expect(first(blank('canvas-cap'), 'one size', 'cap front', { widthMm: 60, heightMm: 50 }, { moved: { xMm: 0, yMm: -5 } })).toContain(
      '20 up',
    );
  });
});

describe('what speaks against a place', () => {
  it('art larger than the blank, near its edge, over its most, outside its share of the chest', () => {
    expect(faults(tee, 'M', 'full front', { widthMm: 250, heightMm: 250 })).toEqual([]);
    expect(faults(tee, 'M', 'full front', { widthMm: 600, heightMm: 300 })).toEqual(['hold: off the blank', 'note: outside its share']);
    expect(faults(tee, 'M', 'full front', { widthMm: 450, heightMm: 300 })).toContain('care: too near the edge');
    expect(faults(tee, 'M', 'left chest', { widthMm: 104, heightMm: 90 })).toEqual(['care: too wide']);
    expect(faults(tee, 'M', 'full front', { widthMm: 200, heightMm: 200 })).toEqual(['note: outside its share']);
    expect(faults(tee, 'M', 'full front', { widthMm: 280, heightMm: 680 })).toContain('hold: off the blank');
  });

  it('on a cap 25 of the crown stay free; its middle seam is where its print belongs', () => {
    expect(faults(blank('canvas-cap'), 'one size', 'cap front', { widthMm: 60, heightMm: 85 })).toEqual([]);
    expect(faults(blank('canvas-cap'), 'one size', 'cap front', { widthMm: 60, heightMm: 86 })).toEqual(['hold: too tall']);
  });

  it('a zip takes no print, a seam only what is meant to cross it, a badge area none', () => {
    const jacket = blank('nylon-jacket');
    expect(faults(jacket, 'M', 'full front', { widthMm: 280, heightMm: 200 })).toEqual(['hold: on what takes no print']);
    const yoke = {
      ...tee,
      obstructions: [
        { kind: 'seam' as const, heightMm: 1, at: [], where: { panel: 'back' as const, xMm: 0, yMm: 150, widthMm: 500, heightMm: 8 } },
      ],
    };
    expect(faults(yoke, 'M', 'upper back', { widthMm: 260, heightMm: 60 })).toEqual(['hold: on a seam']);
    expect(faults(yoke, 'M', 'upper back', { widthMm: 260, heightMm: 60 }, { crossesSeam: true })).toEqual([]);
    const named = { ...blank('canvas-apron'), obstructions: [{ kind: 'badge area' as const, heightMm: 0, at: [] }] };
    expect(faults(named, 'one size', 'bib', { widthMm: 200, heightMm: 100 }, { moved: { xMm: 0, yMm: -30 } })).toEqual([
      'hold: on what takes no print',
    ]);
    expect(faults(named, 'one size', 'bib', { widthMm: 200, heightMm: 100 })).toEqual([]);
  });

  it('a bevel is kept clear by 1.5; print that covers a face without one runs 3 over its edge', () => {
    const bevelled = blank('ceramic-tile', {
      cut: { size: 'one size', measures: { width: 150, height: 150, bevel: 6, hole: 0, holeFrom: 0, pocket: 0 } },
    });
    expect(faults(bevelled, 'one size', 'face', { widthMm: 135, heightMm: 135 })).toEqual([]);
    expect(faults(bevelled, 'one size', 'face', { widthMm: 136, heightMm: 136 })).toEqual(['hold: on what takes no print']);
    const covered = place(query(blank('ceramic-tile'), 'one size', 'face', { widthMm: 156, heightMm: 156 }));
    expect([covered.because, covered.findings]).toEqual(['covers the face', []]);
    expect(faults(blank('ceramic-tile'), 'one size', 'face', { widthMm: 152, heightMm: 156 })).toEqual(['care: too little bleed']);
    expect(faults(blank('ceramic-tile'), 'one size', 'face', { widthMm: 149, heightMm: 149 })).toEqual([]);
    expect(faults(blank('ceramic-tile'), 'one size', 'face', { widthMm: 240, heightMm: 240 })).toEqual(['hold: off the blank']);
    const round = blank('glass-coaster');
    expect(faults(round, 'one size', 'face', { widthMm: 100, heightMm: 100 })).toEqual([]);
    expect(faults(round, 'one size', 'face', { widthMm: 90, heightMm: 90 }, { moved: { xMm: 6, yMm: 0 } })).toEqual([
      'hold: off the blank',
    ]);
  });

  it('a vest has no sleeve; a size that is no letter is refused with what can be written', () => {
    expect(() => place(query(blank('cotton-tee', { kind: 'vest' }), 'M', 'sleeve', { widthMm: 60, heightMm: 60 }))).toThrow(
      'A vest has no place for a sleeve.',
    );
    expect(() => place(query(tee, 'ladies 12', 'full front', { widthMm: 250, heightMm: 250 }))).toThrow(/ladies 12 is not a size/);
  });
});
