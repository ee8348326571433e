/** The decisions of a piece, phase by phase: each phase sees what the phases before it settled. */
import type { Arranged, Draft, Sheeted, SheetQuery, Timed } from '../draft';
import { AFTER } from './after';
import { COVERS } from './cover';
import type { Decision } from './decision';
import { LAYING } from './laying';
import { PASSAGE } from './passage';
import { SHEET_QUERY } from './sheetQuery';
import { TIMES } from './times';

export interface Decisions {
  asked: readonly Decision<object, SheetQuery>[];
  arranged: readonly Decision<Sheeted, Arranged>[];
  timed: readonly Decision<Arranged, Timed>[];
  after: readonly Decision<Timed, Draft>[];
}
export const DECISIONS: Decisions = { asked: SHEET_QUERY, arranged: [...LAYING, ...COVERS, ...PASSAGE], timed: TIMES, after: AFTER };

export { SPOT_OVERLAP_MM } from './after';
export { type Decision, RANKS } from './decision';
export { bandOnCloth } from './laying';
