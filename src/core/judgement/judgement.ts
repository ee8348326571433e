/** What a judgement is made by, and what it comes to. */
import type { BondPoint } from '../bond';
import type { Decisions, Draft, OnCloth, Reason, TestedStart } from '../draft';
import type { HouseSetting } from '../house';
import type { Bound, LampState, Margin, Window } from '../window';
import type { Lamp } from './finding';
import type { Rule } from './rules/rule';
import type { Setting } from './setting';

/** What a piece is judged by; the whole of it unless a check leaves something out. */
export interface Law {
  decisions: Decisions;
  rules: readonly Rule[];
  /** Whether the bond at the glue is worked out too. */
  bonds: boolean;
}
/** The window of the press stage, the lower platen it stands over, and what other closings of the piece may do to its cloth. */
export interface PressWindow {
  /** Set value of the lower platen, °C; null: it is not heated. */
  lowerC: number | null;
  window: Window;
  boundsFor: (closing: OnCloth) => Bound[];
}

/** Set values a piece came to for each closing, °C. */
export interface SetValues {
  press: number;
  /** The lower platen, which stands through all of them; null: it is not heated. */
  lower: number | null;
  prePress: number;
  marry: number;
  finish: number;
  tack: readonly number[];
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
  houseTemp: HouseSetting | null;
  /** The test on this material, where the card starts from it. */
  testedTemp: TestedStart | null;
  /** Bonds across the sheet; null: on Hold, or not asked for. */
  bonds: BondPoint[] | null;
}
