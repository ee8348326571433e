/** Settled: whether somebody chose a value of a card, so that it is not moved for anything. */

import { houseTime } from './houseSettings';
import type { PreparedInput } from './input';
import { testedStart } from './tested';

/** Whether somebody chose this very time: for this print, for the house, or in a test. */
export const isTimeSettled = (input: PreparedInput, { timeS }: { timeS: number }): boolean =>
  input.print.choices.timeS !== undefined || houseTime(input)?.value === timeS || testedStart(input)?.tested.timeS === timeS;
