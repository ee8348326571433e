/** What a measurement is called, and what it would be worth, in words. */
import type { Reply } from '../contract';

export type Worth = Reply<'measuringWorth'>['worth'][number];

const BY = { probe: 'contact probe', strip: 'pressed strips', infrared: 'infrared gun' } as const;

const PLANS = { check: 'A quick check of three places', five: 'Five places', nine: 'Nine places' } as const;

export const measureWords = ({ measure }: Pick<Worth, 'measure'>): string =>
  measure.kind === 'survey'
    ? `${PLANS[measure.plan]} by ${BY[measure.instrument]}`
    : 'Its gauge tied to two real pressures, by load cell or film';

/** `1.4`, `12`: no finer than it is known. */
const some = (n: number): string => (n >= 9.95 ? String(Math.round(n)) : n.toFixed(1));

export const savedWords = ({ saved }: Pick<Worth, 'saved'>): string =>
  saved < 0.05
    ? 'no piece that is known of'
    : `about ${some(saved)} ${saved > 0.95 && saved < 1.05 ? 'piece' : 'pieces'} from being spoiled`;

export function lampWords({ lampsChanged, lampsBetter, prints }: Worth): string {
  if (lampsChanged < 0.05) return 'no lamp would change';
  const better = lampsBetter >= lampsChanged - 0.05 ? 'all for the better' : `${some(lampsBetter)} of them for the better`;
  return `about ${some(lampsChanged)} of ${prints} lamps would change, ${better}`;
}
