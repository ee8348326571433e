/** Windows and margins as they were frozen while the lamp went by kelvins to spare instead of by chance. */
import { z } from 'zod';
import type { Card } from '../card';
import { type LampState, MarginSchema, type Side, WindowSchema } from '../window';

const BREACHES = ['hold', 'care'] as const;
export const WindowV2Schema = WindowSchema.omit({ coolest: true, hottest: true, most: true }).extend({
  bounds: z.array(WindowSchema.shape.bounds.element.omit({ sdK: true, ours: true, eased: true }).extend({ breach: z.enum(BREACHES) })),
});
export const MarginV2Schema = MarginSchema.omit({ chance: true, state: true, eased: true }).extend({ breach: z.enum(BREACHES) });

/** Below this margin on any side that holds a card was Care, K. */
const CLEAR_MARGIN_K = 2;

/** What such a card says, told as today: its band's ends without a doubt of their own, and no chance but none or all. */
export function judgedByMargin(window: z.infer<typeof WindowV2Schema>, margins: readonly z.infer<typeof MarginV2Schema>[]) {
  const end = (meanK: number) => ({ meanK, sdK: 0 });
  const { offsetK, spreadK, bounds } = window;
  const stateOf = ({ kelvin, breach }: { kelvin: number; breach: LampState }): LampState =>
    kelvin < 0 ? breach : kelvin < CLEAR_MARGIN_K && breach === 'hold' ? 'care' : 'clear';
  return {
    judgedBy: 'margin',
    window: {
      ...window,
      coolest: end(offsetK - spreadK),
      hottest: end(offsetK + spreadK),
      most: end(offsetK + spreadK),
      bounds: bounds.map(({ breach: _, ...bound }) => ({ ...bound, sdK: 0, ours: false, eased: false })),
    },
    margins: margins.map(({ side, kelvin, breach }: { side: Side; kelvin: number; breach: LampState }) => ({
      side,
      kelvin,
      chance: Number(kelvin < 0),
      state: stateOf({ kelvin, breach }),
      eased: false,
    })),
  } as const satisfies Partial<Card>;
}
