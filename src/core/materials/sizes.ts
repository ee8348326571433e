/** Sizes as people write them: letters, youth letters, children by months, age or height, numbers, hats; and where each stands among its like. */

/** A size: whose series it is of, and where it stands in it. */
export type GarmentSize =
  /** Steps from M, and whether it is the long cut of it. */
  | { group: 'adult' | 'youth'; step: number; long: boolean }
  /** A baby, toddler or child, by the height it is cut for. */
  | { group: 'child'; heightCm: number; step: number; long: boolean }
  /** A number of a maker's series: it stands in relation to other numbers alone. Two numbers are two fifths of a letter. */
  | { group: 'numeric'; step: number; long: boolean }
  /** A head, by its girth. */
  | { group: 'hat'; girthCm: number; step: number; long: boolean }
  | { group: 'one size'; step: number; long: boolean };

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

/** Height of a youth M, cm, and of a step between youth letters: figures of ours. */
export const YOUTH_M_CM = 146;
const YOUTH_STEP_CM = 14;
/** Usual heights by age, cm; between them as the crow flies. Figures of ours, as clothes for children are cut. */
const HEIGHT_BY_YEARS: readonly (readonly [years: number, cm: number])[] = [
  [0, 54],
  [0.25, 62],
  [0.5, 68],
  [1, 80],
  [2, 92],
  [4, 104],
  [6, 116],
  [8, 128],
  [10, 140],
  [12, 152],
  [14, 164],
  [16, 172],
];

function heightAt(years: number): number {
  const next = HEIGHT_BY_YEARS.findIndex(([at]) => at >= years);
  const [to, from] = [HEIGHT_BY_YEARS[next], HEIGHT_BY_YEARS[Math.max(0, next - 1)]];
  if (!to || !from) return HEIGHT_BY_YEARS.at(-1)?.[1] ?? YOUTH_M_CM;
  return to[0] === from[0] ? to[1] : from[1] + ((to[1] - from[1]) * (years - from[0])) / (to[0] - from[0]);
}

const child = (heightCm: number): GarmentSize => ({ group: 'child', heightCm, step: (heightCm - YOUTH_M_CM) / YOUTH_STEP_CM, long: false });

/** `0-3 months`, `6M`, `newborn`, `3T`, `5-6`, `7-8Y`, `age 7`, `116 cm`, `110-116`. A span is cut for its upper end. */
function readChild(text: string): GarmentSize | null {
  if (text === 'NB' || text === 'NEWBORN') return child(heightAt(0));
  const months = /^(?:(\d{1,2}) ?[-/] ?)?(\d{1,2}) ?(?:M|MO|MOS|MTHS?|MONTHS?)$/.exec(text);
  if (months && Number(months[2]) <= 36) return child(heightAt(Number(months[2]) / 12));
  const toddler = /^([2-6])T$/.exec(text);
  if (toddler) return child(heightAt(Number(toddler[1])));
  const age = /^(?:AGE )?(?:(\d{1,2}) ?[-/] ?)?(\d{1,2}) ?(Y|YRS?|YEARS?)?$/.exec(text);
  const [, from, to, unit] = age ?? [];
  const isAge =
    unit !== undefined || text.startsWith('AGE ') || (from !== undefined && Number(to) > Number(from) && Number(to) - Number(from) <= 2);
  if (isAge && Number(to) <= 16) return child(heightAt(Number(to)));
  const height = /^(?:(\d{2,3}) ?[-/] ?)?(\d{2,3})( ?CM)?$/.exec(text);
  const cm = Number(height?.[2]);
  const isHeight = height !== null && (height[3] !== undefined || cm >= 68) && cm >= 44 && cm <= 188;
  return isHeight ? child(cm) : null;
}

/** `38`, `EU 40`, `US 8`: an even number of a maker's own series. */
function readNumeric(text: string): GarmentSize | null {
  const [, number] = /^(?:[A-Z]{2} )?(\d{1,2})$/.exec(text) ?? [];
  const value = Number(number);
  return number !== undefined && value <= 66 && value % 2 === 0 ? { group: 'numeric', step: value / 5, long: false } : null;
}

const plainSize = (text: string): string =>
  text
    .trim()
    .toUpperCase()
    .replaceAll(/[–−]/g, '-')
    .replaceAll(/[\s.]+/g, ' ');

/**
 * Reads a garment size: `M`, `2XL`, `XXL`, `YS`, `youth M`, `LT`, `M long`, `3-6 months`, `4T`, `7-8`, `116 cm`, `38`, `one size`.
 *
 * @returns null when it is no garment size
 */
export function readSize(text: string): GarmentSize | null {
  const written = plainSize(text);
  const plain = written.replaceAll('-', ' ');
  if (plain === 'ONE SIZE' || plain === 'OS') return { group: 'one size', step: 0, long: false };
  const long = /^(.*?)(?: LONG| TALL|(?<=[SML])T)$/.exec(plain);
  const rest = long?.[1] ?? plain;
  const youth = /^(?:YOUTH |Y ?)(.+)$/.exec(rest);
  const step = stepOf(youth?.[1] ?? rest);
  if (step !== undefined) return { group: youth ? 'youth' : 'adult', step, long: long !== null };
  return readNumeric(written) ?? readChild(written);
}

/** Girth of a hat that is 7 by the old hatters' scale, cm: its size in inches times π. */
const HAT_CM_PER_NUMBER = 2.54 * Math.PI;
/** A usual head, cm. */
const HEAD_CM = 58;

/** Reads a hat's size: `58`, `58 cm`, `57-58`, `7 1/4`, `7¼`; letters as of heads. @returns null when it is none */
export function readHatSize(text: string): GarmentSize | null {
  const hat = (girthCm: number): GarmentSize => ({ group: 'hat', girthCm, step: girthCm - HEAD_CM, long: false });
  const plain = plainSize(text);
  const letter = stepOf(plain);
  if (letter !== undefined) return hat(HEAD_CM + 2 * letter);
  const cm = /^(?:(\d{2}) ?[-/] ?)?(\d{2}(?: \d)?)( ?CM)?$/.exec(plain);
  const girth = Number(cm?.[2]?.replace(' ', '.'));
  if (cm && girth >= 40 && girth <= 68) return hat(girth);
  const [, whole, top, bottom] = /^([5-8])(?: ?(\d)[/⁄](\d))?$/.exec(plain.normalize('NFKD').replaceAll('⁄', '/')) ?? [];
  return whole ? hat((Number(whole) + (top && bottom ? Number(top) / Number(bottom) : 0)) * HAT_CM_PER_NUMBER) : null;
}

/** Sizes from small to large: children, youth, adults, numbers, hats; what is no size stands last, as it was. */
export function bySize(a: string, b: string): number {
  const rank = (text: string): number => {
    const size = readSize(text) ?? readHatSize(text);
    if (!size) return 10_000;
    const start = { child: -2000, youth: -1000, adult: 0, 'one size': 1000, numeric: 2000, hat: 3000 }[size.group];
    return start + size.step + (size.long ? 0.5 : 0);
  };
  return rank(a) - rank(b);
}
