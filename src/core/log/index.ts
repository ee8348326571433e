/** The log: pressings and the later facts about them. */
export { type Amendment, AmendmentSchema, type Pressing, type PressingContext, PressingSchema, pressingOf } from './pressing';
