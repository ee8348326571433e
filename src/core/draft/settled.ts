/** Settled: whether somebody chose a value of a card, so that it is not moved for anything. */
import type { PreparedInput } from './input';
import { keptTime } from './kept';
import { testedStart } from './tested';

/** Whether somebody chose this very time: for this print, for the house, or in a test. */
export const isTimeSettled = (input: PreparedInput, { timeS }: { timeS: number }): boolean =>
  input.print.choices.timeS !== undefined || keptTime(input)?.value === timeS || testedStart(input)?.tested.timeS === timeS;
