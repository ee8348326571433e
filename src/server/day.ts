/** Days in the server's own calendar. */
import { formatISO } from 'date-fns';

/** The day of an instant: `2026-12-12`. */
export const dayOf = (at: number | Date): string => formatISO(at, { representation: 'date' });
