/** Documents in and out. */
export { type LoggedPressing, pressingsCsv } from './pressingCsv';
