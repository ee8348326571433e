/** Blanks a new shop's shelf begins with. */
import type { Blank } from './blank';
import type { BlankKind } from './blankKinds';

const GARMENT_SIZES = ['XS', 'S', 'M', 'L', 'XL', '2XL', '3XL'];
const ONE_SIZE = ['one size'];

const plain = {
  thicknessSpreadMm: 0,
  obstructions: [],
  lined: false,
  printable: 'outside',
  lookedAt: 'the printed side',
  duty: 'laundered',
  notices: [],
  testPieces: [],
} as const;
const COLLAR: Blank['obstructions'] = [{ kind: 'collar', heightMm: 2, at: ['neck label'] }];

const blank = (id: string, kind: BlankKind, fabricId: string, name: string, change: Partial<Blank> = {}): Blank => ({
  ...plain,
  obstructions: [],
  notices: [],
  testPieces: [],
  id,
  name,
  kind,
  fabricId,
  colour: 'any dark',
  shade: 'dark',
  sizes: GARMENT_SIZES,
  ...change,
});
const hard = (id: string, kind: BlankKind, fabricId: string, name: string, thicknessMm: number, change: Partial<Blank> = {}): Blank =>
  blank(id, kind, fabricId, name, {
    colour: 'plain',
    shade: 'light',
    sizes: ONE_SIZE,
    thicknessMm,
    printable: 'either face',
    duty: 'handled',
    ...change,
  });

export const BUILT_IN_BLANKS: readonly Blank[] = [
  blank('cotton-tee', 'tee', 'cotton-jersey', 'cotton tee', { obstructions: COLLAR }),
  blank('polyester-tee', 'tee', 'polyester-jersey', 'polyester tee', { obstructions: COLLAR }),
  blank('three-fibre-tee', 'tee', 'three-fibre-jersey', 'three-fibre tee', { obstructions: COLLAR }),
  blank('youth-cotton-tee', 'youth tee', 'cotton-jersey', 'youth cotton tee', {
    sizes: ['YS', 'YM', 'YL'],
    notices: ['for children'],
    obstructions: COLLAR,
  }),
  blank('fleece-hoodie', 'hoodie', 'fleece', 'fleece hoodie', { obstructions: [{ kind: 'drawcord', heightMm: 5, at: [] }] }),
  blank('nylon-jacket', 'jacket', 'coated-nylon', 'nylon jacket', {
    lined: true,
    obstructions: [{ kind: 'zip', heightMm: 4, at: ['full front'] }],
  }),
  blank('sport-shorts', 'shorts', 'polyester-jersey', 'sport shorts', { obstructions: [{ kind: 'seam', heightMm: 1.5, at: [] }] }),
  blank('canvas-apron', 'apron', 'canvas', 'canvas apron', { sizes: ONE_SIZE, obstructions: [{ kind: 'strap', heightMm: 3, at: [] }] }),
  blank('canvas-tote', 'tote', 'canvas', 'canvas tote', { sizes: ONE_SIZE, colour: 'natural', shade: 'light', duty: 'handled' }),
  blank('canvas-cap', 'cap', 'canvas', 'canvas cap', {
    sizes: ONE_SIZE,
    duty: 'handled',
    obstructions: [{ kind: 'seam', heightMm: 1, at: ['cap front'] }],
  }),
  hard('glass-coaster', 'coaster', 'glass', 'glass coaster', 4, {
    sizes: ['100 mm round'],
    lookedAt: 'through the blank',
    notices: ['food or drink'],
  }),
  hard('ceramic-tile', 'tile', 'ceramic', 'ceramic tile', 6, { sizes: ['150 mm'], printable: 'the coated face', duty: 'looked at' }),
  hard('wooden-tag', 'tag', 'basswood', 'wooden tag', 5, {
    sizes: ['90 × 50 mm'],
    obstructions: [{ kind: 'hanging hole', heightMm: 0, at: [] }],
    thicknessSpreadMm: 0.3,
  }),
  hard('acrylic-block', 'panel', 'cast-acrylic', 'acrylic block', 6, {
    sizes: ['200 × 150 mm'],
    lookedAt: 'through the blank',
    duty: 'looked at',
  }),
  hard('metal-panel', 'panel', 'aluminium', 'aluminium panel', 1.1, {
    sizes: ['200 × 150 mm'],
    printable: 'the coated face',
    duty: 'looked at',
  }),
  hard('cork-coaster', 'coaster', 'cork', 'cork coaster', 3, { sizes: ['100 mm round'] }),
  hard('greeting-card', 'panel', 'card', 'greeting card', 0.4, { sizes: ['148 × 105 mm'], duty: 'looked at' }),
  hard('dye-tile', 'tile', 'coated-ceramic', 'tile coated for dye', 6, {
    sizes: ['150 mm'],
    printable: 'the coated face',
    duty: 'looked at',
  }),
  hard('dye-panel', 'panel', 'coated-aluminium', 'panel coated for dye', 0.7, {
    sizes: ['200 × 150 mm'],
    printable: 'the coated face',
    duty: 'looked at',
  }),
  hard('cloth-journal', 'journal', 'book-cloth', 'cloth journal', 3, { sizes: ['A5'], printable: 'outside' }),
];
