/** The decisions of a piece, phase by phase: each phase sees what the phases before it settled. */
import type { Arranged, Asked, Draft, Sheeted, Timed } from '../draft';
import { AFTER } from './after';
import { ASKED } from './asked';
import { COVERS } from './cover';
import type { Decision } from './decision';
import { LAYING } from './laying';
import { PASSAGE } from './passage';
import { TIMES } from './times';

export interface Decisions {
  asked: readonly Decision<object, Asked>[];
  arranged: readonly Decision<Sheeted, Arranged>[];
  timed: readonly Decision<Arranged, Timed>[];
  after: readonly Decision<Timed, Draft>[];
}
export const DECISIONS: Decisions = { asked: ASKED, arranged: [...LAYING, ...COVERS, ...PASSAGE], timed: TIMES, after: AFTER };

export { SPOT_OVERLAP_MM } from './after';
export { type Decision, RANKS } from './decision';
