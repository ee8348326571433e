/** The server's log: one JSON line an event, with its context. Quiet in tests. */
import pino from 'pino';

export const log = pino({ level: process.env.TIDY_BEACON_LOG ?? 'info', base: null });
