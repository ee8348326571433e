/** The log: pressings, the later facts about them, and what an order still needs. */
export { type Amendment, AmendmentSchema, type Pressing, type PressingContext, PressingSchema, pressingOf } from './pressing';
export { type LineProgress, linesLeft, type NextStep, nextStep, orderLamp, STATIONS, type Station } from './queue';
