/** The shop's own transfers on its own fabrics, on one press: what each is set to and how it is judged, to hang beside the press. */
import { type PreparedInput, prepared, type ResolveInput } from '../draft';
import { type Judgement, judge, LAW } from '../judgement';
import { type Blank, type Fabric, usualPosition } from '../materials';
import type { Press } from '../press';
import type { Peel, Product } from '../sheet';
import type { Phrase } from '../units';
import type { LampState } from '../window';

export interface MatrixCell {
  lamp: LampState;
  setC: number;
  timeS: number;
  peel: Peel;
  /** Of a sound piece, 0 to 1. */
  soundChance: number;
  /** What speaks against it, the worst first; null: nothing. */
  why: Phrase | null;
  /** It shows only on pieces of this shade; null: on any. */
  shade: 'light' | 'dark' | null;
  /** The day of the test it starts from; null: it starts from its sheet. */
  testedOn: string | null;
}
export interface Matrix {
  press: { id: string; name: string; unit: 'C' | 'F'; measured: boolean };
  /** Each with a blank of it; empty: none is on the shelf. */
  fabrics: { id: string; name: string; blankName: string }[];
  rows: { productId: string; name: string; cells: MatrixCell[] }[];
}

/** Sides of the art, mm: the largest of them that the piece has room for. */
const ART_MM = [80, 40, 20] as const;

type Shop = Pick<ResolveInput, 'house' | 'aids' | 'maps' | 'slips' | 'learned' | 'tested' | 'presses'> & {
  products: readonly Product[];
  fabrics: readonly Fabric[];
  blanks: readonly Blank[];
};

/** A plain flat piece of a cloth: what stands up on a blank, and how it is cut, is not the cloth's doing. */
const swatchOf = (fabric: Fabric, blank: Blank | undefined): Blank => ({
  ...(blank ?? {
    id: `swatch ${fabric.id}`,
    name: 'a piece of it',
    colour: 'any',
    shade: 'light',
    thicknessSpreadMm: 0,
    testPieces: [],
    duty: 'laundered',
  }),
  fabricId: fabric.id,
  kind: 'tee',
  sizes: ['M'],
  obstructions: [],
  lined: false,
  printable: 'outside',
  lookedAt: 'the printed side',
  notices: [],
});

function inputOf(product: Product, fabric: Fabric, blank: Blank, press: Press, shop: Shop, artMm: number): PreparedInput {
  const { house, aids, maps, slips, learned, tested, presses } = shop;
  return prepared({
    print: {
      key: 'p',
      position: usualPosition(blank.kind),
      artName: 'any',
      artKind: product.artKinds[0] ?? 'one colour',
      widthMm: artMm,
      heightMm: artMm,
      layers: [{ key: 'a', productId: product.id, over: [] }],
      embossed: false,
      looseParts: false,
      smallType: false,
      crossesSeam: false,
      pressId: press.id,
      choices: {},
    },
    item: { size: blank.sizes[0] ?? '', roster: [], perClosing: 1, together: [], before: [] },
    blank,
    fabric,
    product,
    under: [],
    press,
    house,
    aids,
    ...(maps && { maps }),
    ...(slips && { slips }),
    ...(learned && { learned }),
    ...(tested && { tested }),
    ...(presses && { presses }),
  });
}

/** Held for where the art lies, not for what it is made of: smaller art may have room. */
const hasNoRoom = ({ lamp }: Judgement): boolean =>
  lamp.findings.some(({ level, field }) => level === 'hold' && (field === 'art' || field === 'loading'));

const shadeOf = ({ shades }: Product) => (shades === 'any' ? null : shades);

function cellOf(shade: MatrixCell['shade'], inputFor: (artMm: number) => PreparedInput): MatrixCell {
  let judged: Judgement | null = null;
  for (const artMm of ART_MM) {
    const judgement = judge(inputFor(artMm), LAW);
    judged ??= judgement;
    if (hasNoRoom(judgement)) continue;
    judged = judgement;
    break;
  }
  const { lamp, set, soundChance, testedTemp } = judged as Judgement;
  return {
    lamp: lamp.state,
    setC: set.tempC,
    timeS: set.timeS,
    peel: set.peel,
    soundChance,
    why: lamp.findings[0]?.says ?? null,
    shade,
    testedOn: testedTemp?.tested.testedOn ?? null,
  };
}

/** Cloths first, then the rest, each by name. */
const inOrder = (fabrics: readonly Fabric[]): Fabric[] =>
  [...fabrics].sort((a, b) => Number(a.substrate !== 'cloth') - Number(b.substrate !== 'cloth') || a.name.localeCompare(b.name));

/**
 * Every transfer in use on every fabric in use, as its card would have it for usual art on a flat piece of it.
 *
 * A cloth stands as a plain piece; what is hard as the first blank of it, and without one it has no column. Where one blank of a
 * fabric was tested with a transfer, that blank stands for the fabric.
 */
export function matrixOf(press: Press, shop: Shop): Matrix {
  const inUse = <T extends { retiredOn?: string | undefined }>(all: readonly T[]) => all.filter((candidate) => !candidate.retiredOn);
  const blanks = inUse(shop.blanks);
  const tested = inUse(shop.tested ?? []);
  const columns = inOrder(inUse(shop.fabrics)).flatMap((fabric) => {
    const own = blanks.filter((blank) => blank.fabricId === fabric.id);
    return fabric.substrate === 'cloth' || own[0] ? [{ fabric, own }] : [];
  });
  const pieceFor = (product: Product, { fabric, own }: (typeof columns)[number]): Blank => {
    const test = tested.find(
      (tested) => tested.productId === product.id && tested.on.kind === 'blank' && own.some(({ id }) => id === tested.on.id),
    );
    const blank = own.find(({ id }) => id === test?.on.id) ?? own[0];
    const piece = fabric.substrate === 'cloth' || !blank ? swatchOf(fabric, blank) : blank;
    return { ...piece, shade: shadeOf(product) ?? piece.shade };
  };
  return {
    press: { id: press.id, name: press.name, unit: press.set.unit, measured: press.calibration !== null },
    fabrics: columns.map(({ fabric, own }) => ({ id: fabric.id, name: fabric.name, blankName: own[0]?.name ?? '' })),
    rows: inUse(shop.products).map((product) => ({
      productId: product.id,
      name: product.name,
      cells: columns.map((column) =>
        cellOf(shadeOf(product), (artMm) => inputOf(product, column.fabric, pieceFor(product, column), press, shop, artMm)),
      ),
    })),
  };
}
