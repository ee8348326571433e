/** Words for where the art goes and how the piece is laid, by the house's way of measuring. */

import { clearanceOf, type Draft, layIn, type PreparedInput } from '../../draft';
import type { House } from '../../house';
import { byHouse } from '../../house';
import { isHard, isSided, sidedWords } from '../../materials';
import type { LayMeasure } from '../../placement';
import { type Phrase, phrase, tape } from '../../units';

/** Finding the middle, by school. */
export const CENTRE = {
  crease: phrase`Fold it down the middle and press a crease to lay by.`,
  ruler: phrase`Find the middle with a ruler or a printed guide.`,
  eye: phrase`Centre it by eye, and look again from a step back.`,
} as const;

/** A finger's width rounds to half of one: a hand shows no more. */
const fingers = (mm: number, { figures }: House): string => {
  const halves = Math.round((2 * mm) / figures.fingerMm);
  return halves === 2 ? '1 finger-width' : `${Math.floor(halves / 2) || (halves % 2 ? '' : '0')}${halves % 2 ? '½' : ''} finger-widths`;
};

/** How the hands find the place, by the house’s own way: the middle first, then what it is laid square to. */
export function handWords({ pose, house, fabric }: Pick<PreparedInput, 'pose' | 'house' | 'fabric'>): Phrase[] {
  const placement = pose.placement;
  if (!placement) return [];
  const centre = isHard(fabric) ? [] : [CENTRE[house.rules.centre]];
  const moved = placement.anchorMoved ? [phrase`Its neck can be drawn tighter: measure from the shoulder seam, which stays.`] : [];
  const inside = placement.insideOut ? [phrase`Turn it inside out first.`] : [];
  return [...inside, ...centre, phrase`Lay it square to ${placement.squareTo}.`, ...moved];
}

/** A distance in the operator’s own finger-widths. */
export const fingerWords = (mm: number, house: House): string => fingers(mm, house);

const distance = (mm: number, house: House): Phrase =>
  byHouse(house, 'drop', { ruler: false, fingers: true, 'tall art': false })
    ? phrase`${fingers(mm, house)} (${tape(mm)})`
    : phrase`${tape(mm)}`;

function measureWords({ from, to, way, mm }: LayMeasure, house: House): Phrase {
  if (from === 'centre line') return mm < 0.5 ? phrase`centred` : phrase`its middle ${tape(mm)} ${way} of the centre line`;
  const part = to === 'middle' ? 'middle of the art' : to === 'top edge' ? 'top of the art' : 'lower edge of the art';
  return phrase`${part} ${distance(mm, house)} ${way === 'down' ? 'below' : 'above'} the ${from}`;
}

/** Where the art goes, in the order a hand measures it. */
export function placeWords({ pose, house, print, fabric }: Pick<PreparedInput, 'pose' | 'house' | 'print' | 'fabric'>): Phrase {
  const placement = pose.placement;
  if (!placement) return phrase`on the ${sidedWords(print)}`;
  if (placement.because === 'covers the face')
    return phrase`over the whole face, ${{ q: 'length', v: 3, d: isHard(fabric) ? 1 : 0 }} past every edge`;
  const [first, second] = [...placement.lay].sort((a, b) => Number(b.from === 'centre line') - Number(a.from === 'centre line'));
  const across = first && measureWords(first, house);
  const down = second && measureWords(second, house);
  const on = print.side && isSided(print.position) ? phrase`on the ${sidedWords(print)}, ` : phrase``;
  const moved = placement.anchorMoved ? phrase`. Its neck can be drawn tighter, so measure from the shoulder seam` : phrase``;
  const inside = placement.insideOut ? phrase`, on the inside` : phrase``;
  return phrase`${on}${across ?? ''}${across && down ? ', ' : ''}${down ?? ''}${inside}; square to ${placement.squareTo}${moved}`;
}

const side = (mm: number, low: string, high: string): Phrase => (mm < 0 ? phrase`${tape(-mm)} ${low}` : phrase`${tape(mm)} ${high}`);

function turnWords(turn: number): Phrase {
  if (turn === 0) return phrase``;
  if (turn === 180) return phrase` with its top end towards you,`;
  return phrase` a quarter turn ${turn === 90 ? 'clockwise' : 'anticlockwise'},`;
}

/** How the piece lies on the platen, where it does not simply lie in the middle. */
export function layWords(input: PreparedInput, { platen }: Pick<Draft, 'platen'>): Phrase | null {
  const { pose, press, blank } = input;
  if (!pose.placement || press.kind === 'cap') return null;
  const { xMm, yMm, turn } = layIn(input);
  if (Math.abs(xMm) < 5 && Math.abs(yMm) < 5 && turn === 0) return null;
  const where = [
    ...(Math.abs(yMm) >= 5 ? [side(yMm, 'behind', 'in front of')] : []),
    ...(Math.abs(xMm) >= 5 ? [side(xMm, 'left of', 'right of')] : []),
  ];
  const off = offTheEdge(input);
  const [one, two] = where;
  const shift = one
    ? phrase` so that the middle of the art lies ${one}${two ? phrase` and ${two}` : ''} the middle of ${platen.name ? `the ${platen.name}` : 'the platen'}`
    : phrase``;
  return phrase`Lay the ${blank.kind}${turnWords(turn)}${shift}${off.length > 0 ? phrase`: ${listed(off)} ${off.length > 1 ? 'hang' : 'hangs'} off the edge` : ''}. It may be off by ${tape(clearanceOf(pose) ?? 0)} in any direction.`;
}

/** What is raised near the art and kept off the platen by the lay. */
function offTheEdge({ pose }: PreparedInput): string[] {
  if (!pose.placement || !pose.plain.feasible) return [];
  const kinds = pose.placement.features
    .filter((feature) => feature.heightMm >= 1.2 && (feature.layer === 'this' || pose.loading === 'flat'))
    .map((feature) => feature.kind);
  return [...new Set(kinds)];
}

const listed = (kinds: readonly string[]): string => kinds.map((kind) => `the ${kind}`).join(kinds.length > 2 ? ', ' : ' and ');
