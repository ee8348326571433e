/** Heat ways: where a blend holds viscose and the press heats from below too, the print pressed from above beside the print with split heat. */
import { z } from 'zod';
import { prepared, type ResolveInput } from '../draft';
import { type Finding, judge, LampSchema } from '../judgement';
import { countedFibres } from '../materials';
import { heated } from '../order';
import { PhraseSchema } from '../units';

/** One way to heat a print, with what it comes to. */
export const HeatWaySchema = z.object({
  heat: z.enum(['above', 'split']),
  /** It is how the print is pressed now. */
  isChosen: z.boolean(),
  lamp: LampSchema.shape.state,
  set: z.object({ tempC: z.number(), lowerC: z.number().nullable(), timeS: z.number() }),
  /** Chance of a sound piece, 0 to 1. */
  soundChance: z.number(),
  /** What weighs most against it; null: nothing. */
  against: PhraseSchema.nullable(),
});
export type HeatWay = z.infer<typeof HeatWaySchema>;

/**
 * Both ways to heat a print.
 *
 * @returns the one from above first; none where the material holds too little viscose to count, or the press heats from above only
 */
export function heatWays(original: ResolveInput): HeatWay[] {
  const { fabric, press, print } = original;
  if (!press.lower || !countedFibres(fabric.composition).some(({ fibre }) => fibre === 'viscose')) return [];
  const now = print.choices.heat ?? 'above';
  return (['above', 'split'] as const).map((heat) => {
    const isChosen = heat === now;
    const choices = isChosen ? print.choices : heated(print.choices, heat);
    const { lamp, set, soundChance } = judge(prepared({ ...original, print: { ...print, choices } }));
    const { tempC, lowerC, timeS } = set;
    return { heat, isChosen, lamp: lamp.state, set: { tempC, lowerC, timeS }, soundChance, against: worst(lamp.findings)?.says ?? null };
  });
}

/** What is told against it: of its margins the first, holds before cautions; else any finding. A mark inside is the price of split heat. */
const worst = (findings: readonly Finding[]): Finding | undefined =>
  findings.find(({ from, rule }) => from === 'margin' && rule !== 'inside mark') ?? findings[0];
