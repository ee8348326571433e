/** A step as data: when it is needed, what it says, and the safety line that belongs to it. */

import type { Draft, PreparedInput } from '../../draft';
import type { SetValues } from '../../judgement';
import { type Phrase, phrase } from '../../units';
import type { Card, Step } from '../schema';

/** What a step is told from. */
export interface Context {
  input: PreparedInput;
  draft: Draft;
  set: Card['set'];
  values: SetValues;
  /** Every transfer of the print in pressing order, each with its own mirror and peel. */
  layers: Card['of']['layers'];
}

/** One step as data. */
export interface StepRule {
  id: string;
  says: (context: Context) => Phrase | null;
  safety?: (context: Context) => Phrase | null;
  at?: NonNullable<Step['at']>;
}

export const BURNS = phrase`Platen, base and fresh carriers are at cooking temperature: wear gloves or finger guards.`;
export const PINCH = phrase`Keep both hands clear as it closes, and never leave a closed hot press alone.`;
export const STEAM = phrase`Steam may come out as it opens: stand back from the gap.`;
export const SMOKE = phrase`Smoke, a sharp smell or sticky melt: open, switch off, ventilate.`;

/** Words for a step that is needed only sometimes. */
export const needs = (condition: boolean, says: Phrase): Phrase | null => (condition ? says : null);
export const marries = ({ draft }: Context) => draft.marry !== null;
