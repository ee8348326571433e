/** Days as the shop says them. */
import { differenceInCalendarDays, format, formatISO, parseISO } from 'date-fns';

/** `Fri 12 Dec` */
export const dayText = (day: Date): string => format(day, 'EEE d MMM');
export const isoDayText = (iso: string): string => dayText(parseISO(iso));

/** `today`, `tomorrow`, `in 5 days`, `3 days late` */
export function dueText(iso: string, today: Date): string {
  const days = differenceInCalendarDays(parseISO(iso), today);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  return days > 0 ? `in ${days} days` : `${-days} ${days === -1 ? 'day' : 'days'} late`;
}

/** `2026-12-12` in the shop's own calendar. */
export const isoDay = (day: Date): string => formatISO(day, { representation: 'date' });

/** `Tue 24 Nov 15:09` */
export const instantText = (ms: number): string => format(ms, 'EEE d MMM HH:mm');

/** `24 min`, and from two hours on `3 h`: an estimate, not a promise. */
export function workText(minutes: number): string {
  return minutes < 120 ? `${Math.ceil(minutes)} min` : `${Math.round(minutes / 60)} h`;
}
