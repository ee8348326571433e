/** A 0 to 10 dial: what its readings mean, between the pairs a shop has tied it to and beyond them. */

export interface DialPair {
  reading: number;
  contactKPa: number;
}

/** A dial is read, and a band felt, no better than this share of the pressure. */
const READ_SHARE = 0.08;
/** Beyond the pairs every kPa gone on by the last slope may be wrong by this share of itself. */
const BEYOND_SHARE = 0.6;

export interface Pressed {
  contactKPa: number;
  /** Standard uncertainty, kPa. */
  sdKPa: number;
  beyond: boolean;
}

const ordered = (pairs: readonly DialPair[]): DialPair[] => [...pairs].sort((a, b) => a.reading - b.reading);

/** The stretch of the dial a reading lies on, or the end stretch it lies beyond. */
function stretchOf(pairs: readonly DialPair[], below: (pair: DialPair) => boolean): [DialPair, DialPair] {
  const at = pairs.findIndex((pair) => !below(pair));
  const upper = at === -1 ? pairs.length - 1 : Math.max(1, at);
  return [pairs[upper - 1] as DialPair, pairs[upper] as DialPair];
}

/**
 * Contact pressure at a reading: straight lines between the pairs, so that more on the dial is never less pressure; beyond
 * them the end line goes on, and is trusted less the further it goes.
 *
 * @param pairs at least two, not contradicting each other
 * @throws {RangeError} fewer than two
 */
export function contactAtReading(pairs: readonly DialPair[], reading: number): Pressed {
  const sorted = ordered(pairs);
  const [first, last] = [sorted[0], sorted.at(-1)];
  if (sorted.length < 2 || !first || !last) throw new RangeError('a dial is read by at least two pairs');
  const [a, b] = stretchOf(sorted, (pair) => pair.reading < reading);
  const contactKPa = Math.max(0, a.contactKPa + ((b.contactKPa - a.contactKPa) * (reading - a.reading)) / (b.reading - a.reading));
  const end = reading < first.reading ? first : reading > last.reading ? last : null;
  const goneOn = end ? Math.abs(contactKPa - end.contactKPa) : 0;
  return { contactKPa, sdKPa: Math.hypot(READ_SHARE * contactKPa, BEYOND_SHARE * goneOn), beyond: end !== null };
}

/**
 * Reading that gives a contact pressure; where the pairs are level the lowest such reading.
 *
 * @param pairs readings with the pressure they gave, kPa
 * @param contactKPa wanted, kPa
 * @returns in the dial’s own marks
 * @throws {RangeError} fewer than two pairs, or all of one pressure
 * @example readingForContact([{ reading: 2, contactKPa: 10 }, { reading: 6, contactKPa: 50 }], 30) // 4
 */
export function readingForContact(pairs: readonly DialPair[], contactKPa: number): number {
  const sorted = ordered(pairs).filter((pair, i, all) => i === 0 || pair.contactKPa > (all[i - 1] as DialPair).contactKPa);
  if (sorted.length < 2) throw new RangeError('a dial is set by at least two pairs of different pressure');
  const [a, b] = stretchOf(sorted, (pair) => pair.contactKPa < contactKPa);
  return a.reading + ((b.reading - a.reading) * (contactKPa - a.contactKPa)) / (b.contactKPa - a.contactKPa);
}
