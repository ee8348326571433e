/** The closings that can be set by themselves; apart from the schemas, for pages that want their names alone. */

/** Closings beside the press stage that a print or the house may set otherwise. */
export const CHOSEN_STAGES = ['marry', 'pre-press', 'tack', 'finish'] as const;
export type ChosenStage = (typeof CHOSEN_STAGES)[number];
/** As they are called at the press. */
export const CLOSING_NAMES: Record<ChosenStage, string> = {
  marry: 'Marry',
  'pre-press': 'Pre-press',
  tack: 'Tack',
  finish: 'Second press',
};
