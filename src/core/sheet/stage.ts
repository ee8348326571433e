/** The stages of a supplier's sheet: what is pressed, how hot, how long, how hard, under what, and how it is peeled. */
import { z } from 'zod';
import { COVER_KINDS, PRESSURE_BANDS, rangeOf, Words } from '../materials';
import { PEELS } from './traits';

/** In the order they are done: a sheet married to its adhesive, a short tack, the full press, a finish. */
export const STAGE_KINDS = ['marry', 'tack', 'press', 'finish'] as const;
export type StageKind = (typeof STAGE_KINDS)[number];

const TempRange = rangeOf(60, 260, '°C');
const TimeRange = rangeOf(1, 3600, 's');
/** Pressure in the sheet's own words beside our reading of it. */
const Pressure = z.object({ asStated: Words.min(1, 'What does the sheet say of pressure?'), band: z.enum(PRESSURE_BANDS) });

export const SheetStageSchema = z.object({
  kind: z.enum(STAGE_KINDS),
  tempC: TempRange,
  timeS: TimeRange,
  pressure: Pressure,
  cover: z.enum(['required', 'allowed', 'avoid']),
  /** Which sheet, where the supplier names one. */
  coverKind: z.enum(COVER_KINDS),
  peel: z.enum(PEELS),
  /** Which timer, on presses that have two. */
  timer: z.union([z.literal(1), z.literal(2)]),
});
export type SheetStage = z.infer<typeof SheetStageSchema>;

/** Stages of one sheet: in order, none twice, and always one press. */
export const SheetStagesSchema = z.array(SheetStageSchema).superRefine((stages, ctx) => {
  if (!stages.some((stage) => stage.kind === 'press'))
    ctx.addIssue({ code: 'custom', message: 'A product needs a press stage: temperature, time and pressure from its sheet.' });
  const places = stages.map((stage) => STAGE_KINDS.indexOf(stage.kind));
  places.forEach((place, i) => {
    const before = places[i - 1];
    if (before !== undefined && place === before)
      ctx.addIssue({ code: 'custom', path: [i, 'kind'], message: `The ${stages[i]?.kind} stage is there twice.` });
    if (before !== undefined && place < before)
      ctx.addIssue({
        code: 'custom',
        path: [i, 'kind'],
        message: `Stages go marry, tack, press, finish; ${stages[i]?.kind} stands too late.`,
      });
  });
});

/** What an override may put in place of a stage's own figures. */
export const StageChangeSchema = z.object({
  stage: z.enum(STAGE_KINDS),
  tempC: TempRange.optional(),
  timeS: TimeRange.optional(),
  pressure: Pressure.optional(),
});
export type StageChange = z.infer<typeof StageChangeSchema>;
