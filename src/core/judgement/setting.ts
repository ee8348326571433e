/** What a piece is pressed with: the set values of its press stage, and what lies over and under it. */
import { z } from 'zod';
import { type Draft, MIRRORS, type PreparedInput, pressOf, touchingArea, trialOf } from '../draft';
import { COVER_KINDS, PRESSURE_BANDS } from '../materials';
import { BASES } from '../order';
import { bandMiddle, pressureSetting } from '../press';
import { PADS, PEELS } from '../sheet';

const Temp = z.number();

export const PressureSettingSchema = z.discriminatedUnion('gauge', [
  z.object({ gauge: z.literal('dial'), reading: z.number(), sure: z.enum(['measured', 'beyond the measured pairs', 'guess']) }),
  z.object({ gauge: z.literal('air'), lineKPa: z.number(), sure: z.enum(['measured', 'beyond the measured pairs', 'guess']) }),
  z.object({ gauge: z.literal('feel'), sure: z.literal('guess') }),
]);

export const SettingSchema = z.object({
  tempC: Temp,
  /** The lower platen, when heat comes from both sides. */
  lowerC: Temp.nullable(),
  timeS: z.number(),
  byHand: z.boolean(),
  pressure: z.object({ band: z.enum(PRESSURE_BANDS), contactKPa: z.number(), asStated: z.string(), setting: PressureSettingSchema }),
  peel: z.enum(PEELS),
  cover: z.enum(COVER_KINDS).nullable(),
  mirror: z.enum(MIRRORS),
  base: z.enum(BASES),
  pad: z.enum(PADS),
  platen: z.string().nullable(),
  /** Overlapping spots of a hand press or iron; 1 elsewhere. */
  spots: z.number(),
  /** Times to try on scrap before the first good piece, s; absent: none. */
  trial: z.object({ fromS: z.number(), toS: z.number(), stepS: z.number() }).optional(),
});
export type Setting = z.infer<typeof SettingSchema>;

/** What the press stage is pressed with. */
export function settingOf(input: PreparedInput, draft: Draft, tempC: number, lowerC: number | null): Setting {
  const { band } = draft;
  const trial = trialOf(draft);
  return {
    tempC,
    lowerC,
    timeS: draft.timeS,
    byHand: input.print.choices.setC !== undefined,
    pressure: {
      band,
      contactKPa: bandMiddle(band),
      asStated: pressOf(draft).pressure.asStated,
      setting: pressureSetting(input.press, band, touchingArea(input, draft)),
    },
    peel: draft.peel,
    cover: draft.cover,
    mirror: draft.mirror,
    base: draft.base,
    pad: draft.pad,
    platen: draft.platen.name,
    spots: draft.spots,
    ...(trial && { trial }),
  };
}
