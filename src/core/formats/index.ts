/** Documents in and out. */
export { type LoggedPressing, pressingsCsv } from './pressingCsv';
export { readCard, UnknownCardVersion } from './readCard';
