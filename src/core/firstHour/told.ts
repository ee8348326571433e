/** What a house says of its first hour: what it did, what it leaves out, and whether that is enough. */
import { z } from 'zod';

export const FIRST_STEPS = ['units', 'press', 'measure', 'transfers', 'order', 'card', 'piece'] as const;
export type FirstStep = (typeof FIRST_STEPS)[number];

const Steps = z.array(z.enum(FIRST_STEPS)).max(FIRST_STEPS.length);
export const ToldSchema = z.object({ done: Steps, leftOut: Steps, isOver: z.boolean() });
export type Told = z.infer<typeof ToldSchema>;

export const NOTHING_TOLD: Told = { done: [], leftOut: [], isOver: false };

const without = (steps: readonly FirstStep[], step: FirstStep): FirstStep[] => steps.filter((other) => other !== step);

/** A step is done, or left out for now; the one takes back the other. */
export const tellDone = (told: Told, step: FirstStep): Told => ({
  ...told,
  done: [...without(told.done, step), step],
  leftOut: without(told.leftOut, step),
});
export const tellLeftOut = (told: Told, step: FirstStep): Told => ({
  ...told,
  done: without(told.done, step),
  leftOut: [...without(told.leftOut, step), step],
});
