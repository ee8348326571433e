/** The first hour of a shop, from nothing to its first piece: which steps are done, which were left out, and which comes next. */

import { z } from 'zod';
import { FIRST_STEPS, type FirstStep, type Told } from './told';

export const STEP_STATES = ['done', 'left out', 'next', 'open', 'waits'] as const;

/** What stands in the shop that a step would have brought there. */
export interface FirstFacts {
  /** A press that is in use, the first where there are several. */
  pressId: string | null;
  isMeasured: boolean;
  /** Transfers of the shelf that are the shop's own, not general figures. */
  ownTransfers: number;
  /** The first print of an order on the bench. */
  order: { orderId: string; lineId: string } | null;
  /** A piece was recorded, of whatever order. */
  hasPressed: boolean;
}

const Order = z.object({ orderId: z.string(), lineId: z.string() });
export const FirstHourSchema = z.object({
  steps: z.array(z.object({ id: z.enum(FIRST_STEPS), state: z.enum(STEP_STATES) })),
  /** Null: nothing is left to be done that was not left out. */
  next: z.enum(FIRST_STEPS).nullable(),
  /** A piece was pressed, or somebody said that this is enough. */
  isOver: z.boolean(),
  pressId: z.string().nullable(),
  order: Order.nullable(),
});
export type FirstHour = z.infer<typeof FirstHourSchema>;

type Holds = (facts: FirstFacts) => boolean;

/** What shows in the shop that a step was taken; a step that shows nowhere is done once somebody says so. */
const SHOWS: Partial<Record<FirstStep, Holds>> = {
  press: ({ pressId }) => pressId !== null,
  measure: ({ isMeasured }) => isMeasured,
  transfers: ({ ownTransfers }) => ownTransfers > 0,
  order: ({ order }) => order !== null,
  piece: ({ hasPressed }) => hasPressed,
};

const hasPress: Holds = ({ pressId }) => pressId !== null;
const hasCard: Holds = (facts) => hasPress(facts) && facts.order !== null;
/** What has to be there before a step can be taken at all. */
const WANTS: Partial<Record<FirstStep, Holds>> = { measure: hasPress, card: hasCard, piece: hasCard };

/**
 * How far a shop is.
 *
 * @param facts what stands in it
 * @param told what somebody said of the steps
 */
export function firstHour(facts: FirstFacts, told: Told): FirstHour {
  const standing = FIRST_STEPS.map((id) => {
    if (told.done.includes(id) || SHOWS[id]?.(facts)) return { id, state: 'done' as const };
    if (told.leftOut.includes(id)) return { id, state: 'left out' as const };
    return { id, state: WANTS[id]?.(facts) === false ? ('waits' as const) : ('open' as const) };
  });
  const next = standing.find(({ state }) => state === 'open')?.id ?? null;
  return {
    steps: standing.map((step) => (step.id === next ? { id: step.id, state: 'next' } : step)),
    next,
    isOver: told.isOver || facts.hasPressed,
    pressId: facts.pressId,
    order: facts.order,
  };
}
