/** Placement: measures and position rules, where art goes, whether it can be pressed there, print sizes of a run, pieces of a closing. */

export { type Box, BoxSchema } from './box';
export { closingPlan, fillClosing, fitInClosing } from './closing';
export { type Feature, unplaced } from './features';
export type { PlaceFinding } from './findings';
export { bestFit, type Fit, fitAt } from './fit';
export { boundsOf, type Point, point, type Ring, TURNS, type Turn } from './geometry';
export { type Guide, guideOf, PAGE_MARGIN_MM, printed, TILE_OVERLAP_MM, type Tile, tilesOf } from './guide';
export { guideSvg } from './guideSvg';
export type { FitQuery, InTheWay, Lay, Sides } from './lays';
export { measureLines } from './measureLines';
export { nearestShift } from './nearest';
export { outlineOf, PANEL_OF, sleevesBeside, threadedBetween } from './outline';
export { type LayMeasure, NoSuchPanel, type Placement, type PlacementQuery, place, TAPE_STEP_MM } from './place';
export { ANCHORS, HousePlacesSchema, ruleOf } from './rules';
export { layAfter, platenOn, type Tape, tapesOf } from './sheet';
export { cutsOf, type RunSize, type SizeSplit, splitAfter, splitRun } from './sizeRun';
