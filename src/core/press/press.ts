/** A press as the shop knows it: how it is set, what it was measured to deliver, how its pressure is read. */
import { z } from 'zod';
import { Id, Name, Words } from '../materials';

const PRESS_KINDS = ['clamshell', 'swing-away', 'draw', 'cap'] as const;

const PressureGauge = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('none') }),
  z.object({
    /** `dial` reads 0–10; `air` reads line pressure in kPa. */
    kind: z.enum(['dial', 'air']),
    /** What a reading was found to mean on the usual garment: contact pressure, kPa. Empty: never tied to anything. */
    pairs: z.array(z.object({ reading: z.number().min(0).max(1500), contactKPa: z.number().min(0).max(200) })).max(20),
  }),
]);

export const PressSchema = z.object({
  id: Id,
  name: Name,
  kind: z.enum(PRESS_KINDS),
  /** The unit and step its temperature is set in, and how far it goes, °C. */
  set: z
    .object({
      unit: z.enum(['C', 'F']),
      step: z.number().int().min(1).max(10),
      minC: z.number().min(20).max(260),
      maxC: z.number().min(20).max(260),
    })
    .refine((s) => s.minC < s.maxC, { path: ['minC'], message: 'The lowest setting is not under the highest.' }),
  /** Surface minus readout, K, and the 95 % spread of the surface over the art, K; null: not measured. */
  calibration: z
    .object({
      offsetK: z
        .number()
        .min(-60, 'An offset of more than 60 K is a fault, not an offset.')
        .max(60, 'An offset of more than 60 K is a fault, not an offset.'),
      spreadK: z.number().min(0, 'A spread cannot be less than zero.').max(60, 'A spread of more than 60 K is a fault.'),
      on: z.iso.date(),
      how: Words,
    })
    .nullable(),
  gauge: PressureGauge.superRefine((gauge, ctx) => {
    if (gauge.kind === 'none') return;
    const sorted = [...gauge.pairs].sort((a, b) => a.reading - b.reading);
    sorted.forEach((pair, i) => {
      const before = sorted[i - 1];
      if (before && (pair.reading === before.reading || pair.contactKPa < before.contactKPa)) {
        ctx.addIssue({
          code: 'custom',
          path: ['pairs'],
          message: `Reading ${before.reading} and reading ${pair.reading} contradict each other: more on the gauge must be more pressure.`,
        });
      }
    });
  }),
  platen: z.object({ widthMm: z.number().min(50).max(2000), heightMm: z.number().min(50).max(2000) }),
  lowerHeated: z.boolean(),
});
export type Press = z.infer<typeof PressSchema>;

/** What an unmeasured press is taken to do: right on average, ±8 K. */
const UNMEASURED = { offsetK: 0, spreadK: 8 } as const;

/** Offset and 95 % spread to reckon with, K; a press that was never measured counts ±8 K. */
export function pressOffset(press: Press): { offsetK: number; spreadK: number; measured: boolean } {
  const { calibration } = press;
  return calibration ? { offsetK: calibration.offsetK, spreadK: calibration.spreadK, measured: true } : { ...UNMEASURED, measured: false };
}

/** A temperature band at the platen's surface, °C. */
export interface Band {
  lowC: number;
  midC: number;
  highC: number;
}

/** What the platen's surface really reaches over the art for a set value, °C. */
export function deliveredBand(press: Press, setC: number): Band {
  const { offsetK, spreadK } = pressOffset(press);
  const midC = setC + offsetK;
  return { lowC: midC - spreadK, midC, highC: midC + spreadK };
}
