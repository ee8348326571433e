/** The run: pressing the pieces of a line, one event at a time. */
export type { ActKind } from './acts';
export { type AfterRun, afterRun, type NextTime } from './after';
export type { Why } from './choose';
export { type Cue, cooling, cueOf, factOf, following, styleOf } from './cue';
export { doubtOf } from './doubt';
export {
  type Run,
  type RunEvent,
  type RunEventKind,
  RunEventSchema,
  type RunFact,
  RunSchema,
  SPOIL_REASONS,
  type SpoilReason,
  type Style,
  TRIAL_LOOKS,
  type TrialLooks,
} from './events';
export { type Check, firstHeat, gateOf, type LeadIn, leadIn, REST, settled, sparesOf } from './gate';
export { type How, howOf } from './how';
export { lotOf } from './lots';
export { type Applied, apply, countsOf, replay, standing } from './machine';
export { type PlannedStage, planOf, type RunPlan } from './plan';
export type { Counts, DoneClosing, Lot, PieceResult, RunState } from './state';
