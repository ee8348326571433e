/** Days as the shop says them. */
import { differenceInCalendarDays, format, formatISO, parseISO } from 'date-fns';

/** Nearer than this a day is told by its weekday, days. */
const NEAR_DAYS = 180;

/** `Fri 12 Dec`, and far from now `12 Dec 2024`. */
export const dayText = (day: Date, now = new Date()): string =>
  format(day, Math.abs(differenceInCalendarDays(day, now)) < NEAR_DAYS ? 'EEE d MMM' : 'd MMM yyyy');
export const isoDayText = (iso: string, now = new Date()): string => dayText(parseISO(iso), now);

/** `today`, `tomorrow`, `in 5 days`, `3 days late` */
export function dueText(iso: string, today: Date): string {
  const days = differenceInCalendarDays(parseISO(iso), today);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  return days > 0 ? `in ${days} days` : `${-days} ${days === -1 ? 'day' : 'days'} late`;
}

/** `2026-12-12` in the shop's own calendar. */
export const isoDay = (day: Date): string => formatISO(day, { representation: 'date' });

/** `Tue 24 Nov 15:09`, and far from now with its year. */
export const instantText = (ms: number): string => `${dayText(new Date(ms))} ${format(ms, 'HH:mm')}`;

/** `24 min`, and from two hours on `3 h`: an estimate, not a promise. */
export function workText(minutes: number): string {
  return minutes < 120 ? `${Math.ceil(minutes)} min` : `${Math.round(minutes / 60)} h`;
}
