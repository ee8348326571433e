/** What can be chosen at the press: why a piece is spoiled and what is lost, what is read, in which order pieces are gone through. */

/** Why a piece was spoiled, in the words of the press room; the order is that of the keys that choose them. */
export const SPOIL_REASONS = [
  'crooked or misplaced',
  'would not peel clean',
  'shine or press mark',
  'scorched',
  'ink spread or sunk',
  'fault in the blank',
  'fault in the transfer',
  'something else',
  'edge lifted',
  'carrier torn',
  'gap between layers',
  'voids in the print',
  'small shapes filled in',
  'not matte all over',
  'stones missing',
  'tape mark',
  'pressed flat',
] as const;
export type SpoilReason = (typeof SPOIL_REASONS)[number];

/**
 * What a slip costs: a sheet that never met its blank, the transfer while the blank is still good, the blank while the transfer is,
 * or the piece, both together.
 */
export const LOST = ['sheet', 'transfer', 'blank', 'piece'] as const;
export type Lost = (typeof LOST)[number];

/** What is read at a press: its own panel, a gun or a probe at the platen's face, °C; or its gauge, in the gauge's own figures. */
export const READ_BY = ['panel', 'gun', 'probe', 'gauge'] as const;
export type ReadBy = (typeof READ_BY)[number];

/** How the pieces are gone through: each to its end as far as the clocks allow, or all of them through one stage first. */
export const STYLES = ['piece by piece', 'step by step'] as const;
export type Style = (typeof STYLES)[number];

/** How a scrap of raised film came out. */
export const TRIAL_LOOKS = ['too flat', 'right', 'past its best'] as const;
export type TrialLooks = (typeof TRIAL_LOOKS)[number];
