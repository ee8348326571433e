/** Days as the shop says them. */

const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const DAY_MS = 86_400_000;

const startOf = (day: Date) => new Date(day.getFullYear(), day.getMonth(), day.getDate());
const fromIso = (iso: string) => new Date(`${iso}T00:00:00`);

/** `Fri 12 Dec` */
export const dayText = (day: Date): string => `${WEEKDAYS[day.getDay()]} ${day.getDate()} ${MONTHS[day.getMonth()]}`;
export const isoDayText = (iso: string): string => dayText(fromIso(iso));

/** `today`, `tomorrow`, `in 5 days`, `3 days late` */
export function dueText(iso: string, today: Date): string {
  const days = Math.round((fromIso(iso).getTime() - startOf(today).getTime()) / DAY_MS);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  return days > 0 ? `in ${days} days` : `${-days} ${days === -1 ? 'day' : 'days'} late`;
}

/** `2026-12-12` in the shop's own calendar. */
export function isoDay(day: Date): string {
  return `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}`;
}

/** `Tue 24 Nov 15:09` */
export function instantText(ms: number): string {
  const at = new Date(ms);
  return `${dayText(at)} ${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`;
}

/** `24 min`, and from two hours on `3 h`: an estimate, not a promise. */
export function workText(minutes: number): string {
  return minutes < 120 ? `${Math.ceil(minutes)} min` : `${Math.round(minutes / 60)} h`;
}
