/** The stages of a supplier's sheet: what is pressed, how hot, how long, how hard, under what, and how it is peeled. */
import { z } from 'zod';
import { COVER_KINDS, PRESSURE_BANDS, Words } from '../materials';
import { type Allowed, figureOf } from './figure';
import { PEELS } from './traits';

/** In the order they are done: a sheet married to its adhesive, the blank dried, a short tack, the full press, a finish. */
export const STAGE_KINDS = ['marry', 'pre-press', 'tack', 'press', 'finish'] as const;
export type StageKind = (typeof STAGE_KINDS)[number];

export const SHEET_C = { min: 60, max: 260 } as const;
export const SHEET_S = { min: 1, max: 3600 } as const;
const TempFigure = figureOf(SHEET_C.min, SHEET_C.max, '°C');
const TimeFigure = figureOf(SHEET_S.min, SHEET_S.max, 's');
/** Pressure in the sheet's own words beside our reading of it. */
const Pressure = z.object({ asStated: Words.min(1, 'What does the sheet say of pressure?'), band: z.enum(PRESSURE_BANDS) });

/** A stage as the sheet has it. */
export const WrittenStageSchema = z.object({
  kind: z.enum(STAGE_KINDS),
  /** Absent: at the press stage's own. */
  tempC: TempFigure.optional(),
  timeS: TimeFigure,
  pressure: Pressure,
  cover: z.enum(['required', 'allowed', 'avoid']),
  /** Which sheet, where the supplier names one. */
  coverKind: z.enum(COVER_KINDS),
  peel: z.enum(PEELS),
  /** Which timer, on presses that have two. */
  timer: z.union([z.literal(1), z.literal(2)]),
});
export type WrittenStage = z.infer<typeof WrittenStageSchema>;

/** A stage as it holds for a piece: its figures with what they allow. */
export interface SheetStage extends Omit<WrittenStage, 'tempC' | 'timeS'> {
  /** The sheet gives it a heat of its own; else it is done at the press stage's. */
  ownHeat: boolean;
  tempC: Allowed;
  timeS: Allowed;
}

/** Stages that are pressed at a heat of their own. */
const NEEDS_HEAT: readonly StageKind[] = ['marry', 'press'];

/** Stages of one sheet: in order, none twice, and always one press. */
export const WrittenStagesSchema = z.array(WrittenStageSchema).superRefine((stages, ctx) => {
  if (!stages.some((stage) => stage.kind === 'press'))
    ctx.addIssue({ code: 'custom', message: 'A product needs a press stage: temperature, time and pressure from its sheet.' });
  stages.forEach((stage, i) => {
    if (stage.coverKind === 'used carrier' && stage.kind !== 'finish')
      ctx.addIssue({ code: 'custom', path: [i, 'coverKind'], message: 'A used carrier is laid back in a finish alone.' });
    if (!stage.tempC && NEEDS_HEAT.includes(stage.kind))
      ctx.addIssue({ code: 'custom', path: [i, 'tempC'], message: `The ${stage.kind} stage needs a temperature.` });
  });
  const [prePress, press] = (['pre-press', 'press'] as const).map((kind) => stages.findIndex((stage) => stage.kind === kind));
  const longest = (i: number | undefined) => {
    const timeS = stages[i ?? -1]?.timeS;
    return timeS === undefined ? 0 : timeS.form === 'range' ? timeS.max : timeS.value;
  };
  if (longest(prePress) > longest(press))
    ctx.addIssue({
      code: 'custom',
      path: [prePress ?? 0, 'timeS'],
      message: `A pre-press of ${longest(prePress)} s is longer than the press of ${longest(press)} s: are the two mixed up?`,
    });
  const places = stages.map((stage) => STAGE_KINDS.indexOf(stage.kind));
  places.forEach((place, i) => {
    const before = places[i - 1];
    if (before !== undefined && place === before)
      ctx.addIssue({ code: 'custom', path: [i, 'kind'], message: `The ${stages[i]?.kind} stage is there twice.` });
    if (before !== undefined && place < before)
      ctx.addIssue({
        code: 'custom',
        path: [i, 'kind'],
        message: `Stages go ${STAGE_KINDS.join(', ')}; ${stages[i]?.kind} stands too late.`,
      });
  });
});

/** What an override may put in place of a stage's own figures. */
export const StageChangeSchema = z.object({
  stage: z.enum(STAGE_KINDS),
  tempC: TempFigure.optional(),
  timeS: TimeFigure.optional(),
  pressure: Pressure.optional(),
  cover: WrittenStageSchema.shape.cover.optional(),
  coverKind: WrittenStageSchema.shape.coverKind.optional(),
  peel: WrittenStageSchema.shape.peel.optional(),
});
export type StageChange = z.infer<typeof StageChangeSchema>;
