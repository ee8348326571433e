/** A query of the heat model: everything a question to it holds, checked before anything is computed. */
import { z } from 'zod';
import { COOLING_PLACES, figure, GluedPieceSchema, PassageSchema, ReferenceSchema } from '../heat';

const Limit = figure(40, 300, 'A limit', '°C').nullable();

const HeatQueryFields = z.object({
  piece: GluedPieceSchema,
  passage: PassageSchema,
  adhesive: z.object({
    softenC: figure(30, 250, 'The softening point', '°C'),
    reference: ReferenceSchema,
    /** What the log has learned; 1: nothing. */
    shift: figure(0.2, 5, 'The learned shift', 'times').default(1),
  }),
  limits: z.object({ markC: Limit, damageC: Limit, dyeC: Limit }),
});
export type HeatQuery = z.output<typeof HeatQueryFields>;

/** What no glue and no cloth can be. */
function contradicts({ adhesive, limits }: Pick<HeatQuery, 'adhesive' | 'limits'>, ctx: z.RefinementCtx): void {
  const say = (path: string[], message: string) => ctx.addIssue({ code: 'custom', path, message });
  const { softenC, reference } = adhesive;
  if (softenC > reference.surfaceC)
    say(
      ['adhesive', 'softenC'],
      `The glue would never soften: ${softenC} °C lies over the ${reference.surfaceC} °C its own sheet presses at.`,
    );
  if (limits.markC !== null && limits.damageC !== null && limits.markC > limits.damageC)
    say(['limits', 'markC'], 'The mark limit lies over the damage limit.');
}

export const HeatQuerySchema = HeatQueryFields.superRefine(contradicts);

/**
 * Whether a question can be worked out.
 *
 * @param query anything
 * @returns what is wrong with it, in words; null: nothing
 */
export function faultOfQuery(query: unknown): string | null {
  const { error } = HeatQuerySchema.safeParse(query);
  return error ? (error.issues[0]?.message ?? 'This cannot be worked out.') : null;
}

const span = (low: number, high: number, what: string, unit: string) =>
  z
    .object({ min: figure(low, high, `The least ${what}`, unit), max: figure(low, high, `The most ${what}`, unit) })
    .refine(({ min, max }) => min <= max, { path: ['min'], message: `The least ${what} is over the most.` });
export const AllowedSchema = z.object({
  timeS: span(0.2, 3600, 'time', 's'),
  surfaceC: span(0, 260, 'temperature', '°C'),
});

export const PeelQuerySchema = z.object({ piece: GluedPieceSchema, passage: PassageSchema, where: z.enum(COOLING_PLACES) });
