/** Figures as a supplier's sheet writes them: one figure, a figure with its tolerance, a range, a range with a start; and what each allows. */
import { z } from 'zod';
import type { Range } from '../materials';

/** A temperature in °C or a time in s, as the sheet has it. */
export type Figure =
  | { form: 'one'; value: number; about?: true | undefined }
  | { form: 'tolerance'; value: number; plusMinus: number }
  | { form: 'range'; min: number; max: number; start?: number | undefined };

/** What a figure allows on either side of where the card begins. */
export interface Allowed extends Range {
  nominal: number;
  /** The sheet names the figure to begin with; else it is the middle of its range. */
  named: boolean;
  /** The sides are an allowance of ours round a single figure, not the sheet's. */
  ours: boolean;
  written: Figure;
}

const formsOf = <N extends z.ZodType<number>>(end: N) =>
  z.discriminatedUnion('form', [
    z.object({ form: z.literal('one'), value: end, about: z.literal(true).optional() }),
    z.object({ form: z.literal('tolerance'), value: end, plusMinus: z.number().positive('A tolerance is more than nothing.') }),
    z.object({ form: z.literal('range'), min: end, max: end, start: end.optional() }),
  ]);

/** A figure as it stands on a card: its sheet was read already. */
export const FigureSchema = formsOf(z.number());

/** A figure a sheet may have between two ends; each fault is named at its own field. */
export const figureOf = (lowest: number, highest: number, unit: string) => {
  const end = z
    .number()
    .min(lowest, `Below ${lowest} ${unit} is not a press setting.`)
    .max(highest, `Above ${highest} ${unit} is not a press setting.`);
  return formsOf(end).superRefine((figure, ctx) => {
    const say = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
    if (figure.form === 'tolerance' && figure.plusMinus >= figure.value)
      say('plusMinus', `A tolerance of ${figure.plusMinus} is as wide as the figure itself, ${figure.value} ${unit}.`);
    if (figure.form !== 'range') return;
    const { min, max, start } = figure;
    if (min > max) say('min', `The minimum ${min} ${unit} is over the maximum ${max} ${unit}.`);
    else if (start !== undefined && (start < min || start > max))
      say('start', `The start ${start} ${unit} lies outside ${min} to ${max} ${unit}.`);
  });
};

/**
 * What a figure allows, and where the card begins.
 *
 * @param around our allowance on either side of a single figure, in its unit; a tolerance or range of the sheet's own comes first
 */
function allowedBy(figure: Figure, around: number): Allowed {
  switch (figure.form) {
    case 'one':
      return {
        min: figure.value - around,
        max: figure.value + around,
        nominal: figure.value,
        named: true,
        ours: true,
        written: figure,
      };
    case 'tolerance': {
      const { value, plusMinus } = figure;
      return { min: value - plusMinus, max: value + plusMinus, nominal: value, named: true, ours: false, written: figure };
    }
    case 'range': {
      const { min, max, start } = figure;
      return { min, max, nominal: start ?? (min + max) / 2, named: start !== undefined, ours: false, written: figure };
    }
  }
}

/** How far a product may be from a single figure of its sheet. */
export const AllowanceSchema = z.object({
  /** K. */
  tempK: z
    .number()
    .min(1, 'No press holds a temperature within less than 1 K.')
    .max(25, 'An allowance of more than 25 K is too wide to press by.'),
  /** Of the time, %. */
  timePercent: z
    .number()
    .min(1, 'An allowance is at least 1 %: no hand keeps a time closer.')
    .max(60, 'An allowance of more than 60 % is too wide to press by.'),
});
export type Allowance = z.infer<typeof AllowanceSchema>;

/** However short a time is, the hand and the clock need this much, s. */
const LEAST_TIME_ALLOWANCE_S = 1;

export const allowedTemp = (figure: Figure, { tempK }: Allowance): Allowed => allowedBy(figure, tempK);

/** Whole seconds: nobody keeps an allowance finer than that. */
export function allowedTime(figure: Figure, { timePercent }: Allowance): Allowed {
  if (figure.form !== 'one') return allowedBy(figure, 0);
  const around = Math.max(LEAST_TIME_ALLOWANCE_S, Math.round((figure.value * timePercent) / 100));
  return allowedBy(figure, Math.min(around, figure.value / 2));
}

/** A range, without a start. */
export const between = (min: number, max: number): Figure => ({ form: 'range', min, max });
/** One figure. */
export const at = (value: number): Figure => ({ form: 'one', value });
