/** What may be swept, and a sweep as it is asked for: checked before anything is computed. */
import { z } from 'zod';
import { HeatQuerySchema } from './query';

/** What may be swept, with the ends it may reach. */
export const SWEPT = {
  time: { low: 0.5, high: 600, unit: 's' },
  temperature: { low: 40, high: 260, unit: '°C' },
  pressure: { low: 1, high: 100, unit: 'kPa' },
  base: { low: -5, high: 150, unit: '°C' },
  'pre-press': { low: 0, high: 60, unit: 's' },
  damp: { low: 0, high: 3, unit: 'times' },
  thickness: { low: 0.3, high: 3, unit: 'times' },
} as const;
export type Swept = keyof typeof SWEPT;

const MOST_STEPS = 60;
const AxisSchema = z
  .object({
    of: z.enum(Object.keys(SWEPT) as [Swept, ...Swept[]]),
    from: z.number({ error: 'Where it begins: give a number.' }),
    to: z.number({ error: 'Where it ends: give a number.' }),
    steps: z.number().int('Steps come whole.').min(2, 'At least 2 steps.').max(MOST_STEPS, `At most ${MOST_STEPS} steps.`),
  })
  .superRefine(({ of, from, to }, ctx) => {
    const { low, high, unit } = SWEPT[of];
    for (const [path, value] of [['from', from] as const, ['to', to] as const])
      if (value < low || value > high)
        ctx.addIssue({ code: 'custom', path: [path], message: `${of} is swept from ${low} to ${high} ${unit}.` });
    if (from >= to) ctx.addIssue({ code: 'custom', path: ['to'], message: 'A sweep ends above where it begins.' });
  });
export type Axis = z.infer<typeof AxisSchema>;

export const SweepQuerySchema = HeatQuerySchema.safeExtend({ x: AxisSchema, y: AxisSchema }).refine(({ x, y }) => x.of !== y.of, {
  path: ['y', 'of'],
  message: 'Sweep two different things.',
});
export type SweepQuery = z.output<typeof SweepQuerySchema>;
