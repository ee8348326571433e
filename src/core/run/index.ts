/** The run: pressing the pieces of a line, one event at a time. */
export type { ActKind } from './acts';
export { type AfterRun, afterRun, asLeft, type Doubted, type NextTime } from './after';
export { baseBurns, baseHeat, baseShare, MARRIES_AT, marryInS } from './base';
export {
  LOST,
  type Lost,
  READ_BY,
  type ReadBy,
  SPOIL_REASONS,
  type SpoilReason,
  type Style,
  TRIAL_LOOKS,
  type TrialLooks,
} from './choices';
export type { Why } from './choose';
export { type Clock, type Cooling, type Cue, clocksOf, cooling, cueOf, factOf, following, styleOf } from './cue';
export { doubtOf } from './doubt';
export {
  MOST_TOGETHER,
  type Pace,
  type Run,
  type RunEvent,
  type RunEventKind,
  RunEventSchema,
  type RunFact,
  type RunParcel,
  type RunPart,
  RunSchema,
  type SpotArea,
  SpotAreaSchema,
} from './events';
export { looksFor, reasonsFor } from './faults';
export { changesAhead, closingsNow, cueVerb, type FiguresNow, figuresNow, heatWords, type NextFigures } from './figures';
export { type Check, FOLLOWS_MS, firstHeat, gateOf, type LeadIn, leadIn, REST, settled, sparesOf, stillHolds, TRIAL } from './gate';
export { type HeatState, heatFor, type Live, setNow } from './heat';
export { type How, howOf, stageWords } from './how';
export { type LeftOver, leftOver } from './leftOver';
export { lotOf, secondsOf } from './lots';
export {
  type Applied,
  apply,
  countsOf,
  DoesNotAddUp,
  predict,
  type Replayed,
  replay,
  replayFrom,
  standing,
  UnknownMachine,
} from './machine';
export { carriedPace } from './pace';
export {
  countedAtGate,
  leftInParcel,
  type ParcelStock,
  parcelCautions,
  parcelNames,
  parcelsFor,
  parcelsReach,
  shortOf,
  takenFrom,
  type Use,
  usesOf,
} from './parcels';
export { hasDesigns, type PieceOf, partCounts, partOf, partsOf } from './parts';
export { MACHINE_VERSION, type PlannedStage, planOf, type RunPlan } from './plan';
export { partWords } from './spot';
export { lostChoices } from './stageSteps';
export {
  type Counts,
  type DoneClosing,
  type LostTransfer,
  type Lot,
  PEEL_HEATS,
  type PieceResult,
  type Reading,
  type RunState,
} from './state';
