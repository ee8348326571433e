/** Documents in and out. */
export { type LoggedPressing, pressingsCsv } from './pressingCsv';
export { readCard } from './readCard';
