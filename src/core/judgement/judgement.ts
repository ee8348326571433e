/** What a judgement is made by, and what it comes to. */
import type { BondPoint } from '../bond';
import type { Decisions, Draft, Reason, TestedStart } from '../draft';
import type { HouseSetting } from '../house';
import type { Lamp, LampState, Margin, Window } from './finding';
import type { Rule } from './rules/rule';
import type { Setting } from './setting';
import type { SetValues } from './window';

/** What a piece is judged by; the whole of it unless a check leaves something out. */
export interface Law {
  decisions: Decisions;
  rules: readonly Rule[];
  /** Whether the bond at the glue is worked out too. */
  bonds: boolean;
}
/** What is settled about a piece before it is told in words: enough to rank it by. */
export interface Judgement {
  draft: Draft;
  reasons: Reason[];
  window: Window;
  set: Setting;
  values: SetValues;
  margins: Margin[];
  smallestMarginK: number;
  /** The same at the window’s best set value. */
  bestMarginK: number;
  lamp: Lamp;
  /** Of its window’s best set value, whatever was set by hand. */
  bestState: LampState;
  /** That a piece comes out sound, 0 to 1. */
  soundChance: number;
  /** The house's own set value, where the card starts from it. */
  keptTemp: HouseSetting | null;
  /** The test on this material, where the card starts from it. */
  testedTemp: TestedStart | null;
  /** Bonds across the sheet; null: on Hold, or not asked for. */
  bonds: BondPoint[] | null;
}
