/** The hands' steps of a card, in the order they are done. A step that is not needed says nothing. */
import type { Step } from '../schema';
import { LOAD_STEPS } from './load';
import { PASSAGE_STEPS } from './passage';
import { PRESS_STEPS } from './press';
import { SHEET_STEPS } from './sheet';
import type { Context, StepRule } from './step';

export const STEPS: readonly StepRule[] = [...PRESS_STEPS, ...SHEET_STEPS, ...LOAD_STEPS, ...PASSAGE_STEPS];

/** The steps a piece needs, in order. */
export function stepsOf(context: Context, steps: readonly StepRule[]): Step[] {
  return steps.flatMap((step): Step[] => {
    const says = step.says(context);
    if (says === null) return [];
    const safety = step.safety?.(context) ?? null;
    return [{ says, ...(safety !== null && { safety }), ...(step.at && { at: step.at }) }];
  });
}

export type { StepRule } from './step';
