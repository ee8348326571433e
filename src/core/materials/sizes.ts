/** Garment sizes as people write them, and where each stands in its range. */

/** A size: whose range it is, how many steps from M, and whether it is the long cut of it. */
export interface GarmentSize {
  group: 'adult' | 'youth' | 'one size';
  step: number;
  long: boolean;
}

const LETTERS: Record<string, number> = { XXS: -3, XS: -2, S: -1, M: 0, L: 1, XL: 2 };
const MOST_X = 6;

/** Steps from M of a size letter; undefined: no such letter. XXL and 2XL are one size, as 3XL and XXXL are. */
function stepOf(letter: string): number | undefined {
  const known = LETTERS[letter];
  if (known !== undefined) return known;
  const many = /^(?:([2-6])X|(X{2,6}))L$/.exec(letter);
  const count = many?.[1] ? Number(many[1]) : (many?.[2]?.length ?? 0);
  return count >= 2 && count <= MOST_X ? 1 + count : undefined;
}

/**
 * Reads a garment size: `M`, `2XL`, `XXL`, `YS`, `youth M`, `LT`, `M long`, `one size`.
 *
 * @returns null when it is no garment size
 */
export function readSize(text: string): GarmentSize | null {
  const plain = text
    .trim()
    .toUpperCase()
    .replaceAll(/[\s.-]+/g, ' ');
  if (plain === 'ONE SIZE' || plain === 'OS') return { group: 'one size', step: 0, long: false };
  const long = /^(.*?)(?: LONG| TALL|(?<=[SML])T)$/.exec(plain);
  const rest = long?.[1] ?? plain;
  const youth = /^(?:YOUTH |Y ?)(.+)$/.exec(rest);
  const step = stepOf(youth?.[1] ?? rest);
  if (step === undefined) return null;
  return { group: youth ? 'youth' : 'adult', step, long: long !== null };
}

/** Sizes from small to large, youth before adult; what is no garment size stands last, as it was. */
export function bySize(a: string, b: string): number {
  const rank = (text: string) => {
    const size = readSize(text);
    if (!size) return 1000;
    return { youth: -100, adult: 0, 'one size': 100 }[size.group] + size.step + (size.long ? 0.5 : 0);
  };
  return rank(a) - rank(b);
}
