/** Kinds of blank, the positions that are printed on them, and which of those are usual on which. */

/** Positions as they are called at the press; `face` is the printed face of a hard or flat piece. */
export const POSITIONS = [
  'full front',
  'youth front',
  'left chest',
  'upper back',
  'full back',
  'neck label',
  'sleeve',
  'leg',
  'cap front',
  'bib',
  'tote front',
  'pocket face',
  'face',
] as const;
export type Position = (typeof POSITIONS)[number];

/** Positions a piece has twice. */
const SIDED: readonly Position[] = ['sleeve', 'leg'];
export const isSided = (position: Position): boolean => SIDED.includes(position);

/** The wearer's. */
export const SIDES = ['left', 'right'] as const;
export type Side = (typeof SIDES)[number];

/** `left sleeve`, or the position alone where nobody said which, or there is only one. */
export const sidedWords = ({ position, side }: { position: Position; side?: Side | undefined }): string =>
  side && isSided(position) ? `${side} ${position}` : position;

export const BLANK_KINDS = [
  'tee',
  'youth tee',
  'hoodie',
  'vest',
  'jacket',
  'shorts',
  'apron',
  'tote',
  'cap',
  'tool roll',
  'coaster',
  'tile',
  'tag',
  'panel',
  'journal',
] as const;
export type BlankKind = (typeof BLANK_KINDS)[number];

/** Open at an end, so that they go over a base with one layer under the heat. */
const OPEN_KINDS: readonly BlankKind[] = ['tee', 'youth tee', 'hoodie', 'vest', 'jacket', 'shorts', 'tote'];
export const canBeThreaded = (kind: BlankKind): boolean => OPEN_KINDS.includes(kind);

/** Where a kind of blank is usually printed; the first is what a new line starts from. */
export const USUAL_POSITIONS: Record<BlankKind, readonly [Position, ...Position[]]> = {
  tee: ['full front', 'left chest', 'upper back', 'full back', 'sleeve', 'neck label'],
  'youth tee': ['youth front', 'upper back', 'sleeve', 'neck label'],
  hoodie: ['full front', 'left chest', 'upper back', 'full back', 'sleeve'],
  vest: ['full front', 'left chest', 'full back', 'upper back'],
  jacket: ['left chest', 'full back', 'upper back', 'sleeve'],
  shorts: ['leg'],
  apron: ['bib'],
  tote: ['tote front'],
  cap: ['cap front'],
  'tool roll': ['pocket face', 'face'],
  coaster: ['face'],
  tile: ['face'],
  tag: ['face'],
  panel: ['face'],
  journal: ['face'],
};

export const usualPosition = (kind: BlankKind) => USUAL_POSITIONS[kind][0];
