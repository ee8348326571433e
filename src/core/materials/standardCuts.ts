/** The cut a blank starts from before anyone has measured it: one for each kind. Figures of ours, in the middle of what such blanks measure. */

import { parseQuantity } from '../units';
import type { BlankKind } from './blankKinds';
import { type Cut, type CutShape, type Measures, measuresOf, type Neck, UnknownSize } from './cut';

const cut = (size: string, measures: Measures, neck?: Neck): Cut => ({ size, measures, ...(neck && { neck }) });
const body = (chest: number, length: number, neck: number, frontDrop: number, shoulder: number, sleeve: number): Measures => ({
  chest,
  length,
  neck,
  frontDrop,
  shoulder,
  sleeve,
});
const sheet = (width: number, height: number, pocket = 0): Measures => ({ width, height, bevel: 0, hole: 0, holeFrom: 0, pocket });
const ONE = 'one size';

const STANDARD: Record<BlankKind, { shape: CutShape; cut: Cut }> = {
  tee: { shape: 'body', cut: cut('M', body(520, 720, 180, 90, 460, 210), 'round') },
  'youth tee': { shape: 'body', cut: cut('YM', body(430, 560, 150, 75, 370, 160), 'round') },
  hoodie: { shape: 'body', cut: cut('M', body(560, 715, 190, 95, 520, 600), 'hood') },
  vest: { shape: 'body', cut: cut('M', body(500, 700, 200, 110, 360, 0), 'round') },
  jacket: { shape: 'body', cut: cut('M', body(580, 720, 190, 70, 500, 630), 'stand-up') },
  shorts: { shape: 'legs', cut: cut('M', { waist: 380, hip: 520, length: 470, rise: 300, hem: 280, waistband: 40 }) },
  apron: { shape: 'apron', cut: cut(ONE, { bib: 280, bibHeight: 300, width: 700, length: 850, strap: 40, topHem: 25 }, 'adjustable') },
  tote: { shape: 'tote', cut: cut(ONE, { width: 380, height: 420, topHem: 30, strap: 25, strapFrom: 90, strapFoot: 40 }) },
  cap: { shape: 'cap', cut: cut(ONE, { crown: 110, front: 150, top: 110, brim: 70 }) },
  'tool roll': { shape: 'sheet', cut: cut(ONE, sheet(560, 300, 170)) },
  coaster: { shape: 'round', cut: cut(ONE, { width: 100, bevel: 0, hole: 0, holeFrom: 0 }) },
  tile: { shape: 'sheet', cut: cut(ONE, sheet(150, 150)) },
  tag: { shape: 'sheet', cut: cut(ONE, sheet(90, 50)) },
  panel: { shape: 'sheet', cut: cut(ONE, sheet(200, 150)) },
  journal: { shape: 'sheet', cut: cut(ONE, sheet(148, 210)) },
};

/** Pages by their names, mm. */
const PAGES: Record<string, readonly [number, number]> = { A4: [210, 297], A5: [148, 210], A6: [105, 148] };

/** Sides a size names by itself, mm: `90 × 50 mm`, `100 mm round`, `4 in round`, `3½ x 2 in`, `A5`. */
function sidesIn(size: string): readonly [number, number] | null {
  const page = PAGES[size.trim().toUpperCase()];
  if (page) return page;
  const words = size.trim().replace(/\s*(round|square|ø|dia\.?)$/i, '');
  const [, first = '', second, unit = ''] = /^(.+?)\s*(?:[×xX*]\s*(.+?)\s*)?(mm|cm|in|inch|inches|["”″])$/.exec(words) ?? [];
  const sides = [first, second ?? first].map((side) =>
    parseQuantity('length', `${side} ${/["”″]/.test(unit) ? 'in' : unit}`, { unit: 'mm' }),
  );
  const [width, height] = sides.map((side) => (side.state === 'ok' && side.value > 0 ? side.value : null));
  return width && height ? [width, height] : null;
}

interface Cuttable {
  kind: BlankKind;
  cut?: Cut | undefined;
  face?: { widthMm: number; heightMm: number; round: boolean } | undefined;
}

/** By which shape a blank is drawn. */
export const shapeOf = ({ kind, face }: Pick<Cuttable, 'kind' | 'face'>): CutShape => {
  const { shape } = STANDARD[kind];
  return shape === 'sheet' && face?.round ? 'round' : shape === 'round' && face && !face.round ? 'sheet' : shape;
};

/** The cut of a blank: its own, else the standard one of its kind. */
export function cutOf(blank: Cuttable): Cut {
  if (blank.cut) return blank.cut;
  const shape = shapeOf(blank);
  const standard = STANDARD[blank.kind].cut;
  const { face } = blank;
  if (!face) return standard;
  return shape === 'round'
    ? cut(ONE, { width: face.widthMm, bevel: 0, hole: 0, holeFrom: 0 })
    : cut(ONE, { ...sheet(face.widthMm, face.heightMm) });
}

/** The measures of a blank in one of its sizes; `taken` says whether a tape was laid on it, or they are the standard ones. */
export interface BlankMeasures {
  shape: CutShape;
  neck: Neck;
  measures: Measures;
  taken: boolean;
}

/**
 * The measures of a blank in a size.
 *
 * @throws {UnknownSize} the size is neither measured nor one that can be graded
 */
export function blankMeasures(blank: Cuttable, size: string): BlankMeasures {
  const shape = shapeOf(blank);
  const own = cutOf(blank);
  const measures = measuresOf(shape, own, size);
  const sides = blank.cut || blank.face || (shape !== 'sheet' && shape !== 'round') ? null : sidesIn(size);
  const [width, height] = sides ?? [];
  return {
    shape,
    neck: own.neck ?? STANDARD[blank.kind].cut.neck ?? 'round',
    measures:
      width === undefined || height === undefined ? measures : shape === 'round' ? { ...measures, width } : { ...measures, width, height },
    taken: blank.cut !== undefined || blank.face !== undefined || sides !== null,
  };
}

/**
 * The face of a hard piece that touches the platen, mm: as it was typed, as its drawing has it, or as the words of its size
 * say; null: nobody said how large it is.
 */
export function faceOf(blank: Cuttable, size: string): { widthMm: number; heightMm: number; round: boolean } | null {
  if (blank.face) return blank.face;
  const shape = shapeOf(blank);
  if (shape !== 'sheet' && shape !== 'round') return null;
  try {
    const { measures, taken } = blankMeasures(blank, size);
    const { width, height } = measures;
    if (!taken || width === undefined) return null;
    return { widthMm: width, heightMm: shape === 'round' ? width : (height ?? width), round: shape === 'round' };
  } catch (error) {
    if (error instanceof UnknownSize) return null;
    throw error;
  }
}

/** The faces of a blank that can lie up. */
export const PANELS = ['front', 'back', 'sleeve', 'leg', 'bib', 'crown', 'face'] as const;
export type Panel = (typeof PANELS)[number];

/** How large each panel of a blank may be at most, of its measured size. */
export function extentOf(blank: Cuttable): Partial<Record<Panel, { widthMm: number; heightMm: number }>> {
  const m = (name: string) => cutOf(blank).measures[name] ?? 0;
  const of = (widthMm: number, heightMm: number) => ({ widthMm, heightMm });
  switch (shapeOf(blank)) {
    case 'body':
      return {
        front: of(Math.max(m('chest'), m('shoulder')), m('length')),
        back: of(m('chest'), m('length')),
        sleeve: of(m('chest'), m('sleeve')),
      };
    case 'legs':
      return { leg: of(m('hip'), m('length')) };
    case 'apron':
      return { bib: of(m('width'), m('length')) };
    case 'tote':
      return { face: of(m('width'), m('height')) };
    case 'cap':
      return { crown: of(m('front'), m('crown')) };
    case 'sheet':
      return { face: of(m('width'), m('height')) };
    case 'round':
      return { face: of(m('width'), m('width')) };
  }
}
