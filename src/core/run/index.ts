/** The run: pressing the pieces of a line, one event at a time. */
export { type Cue, cueOf } from './cue';
export {
  type Run,
  type RunEvent,
  type RunEventKind,
  RunEventSchema,
  type RunFact,
  RunSchema,
  SPOIL_REASONS,
  type SpoilReason,
} from './events';
export {
  type Applied,
  apply,
  type Counts,
  countsOf,
  type DoneClosing,
  type PieceResult,
  type RunPlan,
  type RunState,
  replay,
  standing,
} from './machine';
