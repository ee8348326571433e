/** Days as the shop says them. */
import { differenceInCalendarDays, formatISO } from 'date-fns';

/** Nearer than this a day is told by its weekday, days. */
const NEAR_DAYS = 180;

const WORDS = new Intl.DateTimeFormat('en-US', { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' });
const CLOCK = new Intl.DateTimeFormat('en-US', { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });

/** An ISO day as the moment it begins here. */
const dayOf = (iso: string): Date => new Date(`${iso.slice(0, 10)}T00:00`);

/** `Fri 12 Dec`, and far from now `12 Dec 2024`. */
export function dayText(day: Date, now = new Date()): string {
  const parts = Object.fromEntries(WORDS.formatToParts(day).map(({ type, value }) => [type, value]));
  const isNear = Math.abs(differenceInCalendarDays(day, now)) < NEAR_DAYS;
  return isNear ? `${parts.weekday} ${parts.day} ${parts.month}` : `${parts.day} ${parts.month} ${parts.year}`;
}
export const isoDayText = (iso: string, now = new Date()): string => dayText(dayOf(iso), now);

/** `today`, `tomorrow`, `in 5 days`, `3 days late` */
export function dueText(iso: string, today: Date): string {
  const days = differenceInCalendarDays(dayOf(iso), today);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  return days > 0 ? `in ${days} days` : `${-days} ${days === -1 ? 'day' : 'days'} late`;
}

/** `2026-12-12` in the shop's own calendar. */
export const isoDay = (day: Date): string => formatISO(day, { representation: 'date' });

/** `Tue 24 Nov 15:09`, and far from now with its year. */
export const instantText = (ms: number): string => `${dayText(new Date(ms))} ${CLOCK.format(ms)}`;

/** `24 min`, and from two hours on `3 h`: an estimate, not a promise. */
export function workText(minutes: number): string {
  return minutes < 120 ? `${Math.ceil(minutes)} min` : `${Math.round(minutes / 60)} h`;
}
