/** A press as the shop knows it: how it is set, what it was measured to deliver, how its pressure is read. */
import { z } from 'zod';
import { Id, Name, SetTemp, Words } from '../materials';
import { AirDriveSchema, CRUSH_KPA } from './airPressure';
import { bandOf, type Offset } from './band';
import type { Band } from './bandSchema';
import { HeaterSchema } from './heater';
import { FINISHES } from './instrument';

export const PRESS_KINDS = ['clamshell', 'swing-away', 'draw', 'cap', 'hand press', 'iron'] as const;
export type PressKind = (typeof PRESS_KINDS)[number];

/** Held in the hand: no pressure reading, and art larger than the sole is pressed in overlapping spots. */
/** Whether a blank lies on it at all: a cap's curved front wants a cap press or a hand, anything else a flat platen. */
export const fitsShape = (press: Pick<Press, 'kind'>, blank: { kind: string }): boolean =>
  blank.kind === 'cap' ? press.kind === 'cap' || isHandHeld(press) : press.kind !== 'cap';

export const isHandHeld = (press: Pick<Press, 'kind'>): boolean => press.kind === 'hand press' || press.kind === 'iron';

const Side = z.number().min(30, 'A platen is at least 30 mm wide and high.').max(2000, 'A platen is at most 2 m wide and high.');
const Platen = z.object({ widthMm: Side, heightMm: Side });
const OffsetK = z
  .number()
  .min(-60, 'An offset of more than 60 K is a fault, not an offset.')
  .max(60, 'An offset of more than 60 K is a fault, not an offset.');
const Spread = z.number().min(0, 'A spread cannot be less than zero.').max(60, 'A spread of more than 60 K is a fault.');

/** Pressure on what truly touches; a line pressure typed here by mistake is far over it. */
const ContactKPa = z
  .number()
  .min(0, 'A pressure cannot be less than zero.')
  .max(CRUSH_KPA, `Over ${CRUSH_KPA} kPa on the piece itself crushes it. Is this the pressure of the air line?`);

const PressureGauge = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('none') }),
  z.object({
    /** `dial` reads 0–10; `air` reads line pressure in kPa. */
    kind: z.enum(['dial', 'air']),
    /** What a reading was found to mean on the usual garment: contact pressure, kPa. Empty: never tied to anything. */
    pairs: z.array(z.object({ reading: z.number().min(0).max(1500), contactKPa: ContactKPa })).max(20),
  }),
]);

/** Steps a press's timer may be set in, s. */
export const TIMER_STEPS = [0.1, 0.5, 1, 5] as const;

export const PressSchema = z.object({
  id: Id,
  name: Name,
  kind: z.enum(PRESS_KINDS),
  /** The unit and step its temperature is set in, and how far it goes, °C. */
  set: z
    .object({
      unit: z.enum(['C', 'F']),
      step: z.number().int().min(1).max(10),
      minC: SetTemp,
      maxC: SetTemp,
    })
    .refine((s) => s.minC < s.maxC, { path: ['minC'], message: 'The lowest setting is not under the highest.' }),
  /** Surface minus readout, K, and the 95 % spread of the surface over the art, K; null: not measured. */
  calibration: z
    .object({
      offsetK: OffsetK,
      spreadK: Spread,
      on: z.iso.date(),
      how: Words,
      /** The offset changes by this for every K the setting is away from `refC`; the spread grows by `spreadPerK`. */
      slope: z.number().min(-0.5).max(0.5).optional(),
      spreadPerK: z.number().min(0).max(0.5).optional(),
      refC: SetTemp.optional(),
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
  platen: Platen,
  /** Platens that may be put in its place: smaller, sleeve, leg. */
  swapPlatens: z.array(Platen.extend({ id: Id, name: Name })).max(10),
  /** A lower platen that heats too, with what it was found to deliver; null: the base is not heated. */
  lower: z
    .object({ minC: SetTemp, maxC: SetTemp, offsetK: OffsetK, spreadK: Spread })
    .refine((l) => l.minC < l.maxC, { path: ['minC'], message: 'The lowest setting is not under the highest.' })
    .nullable(),
  timers: z.union([z.literal(1), z.literal(2)]),
  /** What its timer can be set in, s; absent: whole seconds. */
  timerStepS: z.literal(TIMER_STEPS).optional(),
  opensItself: z.boolean(),
  retiredOn: z.iso.date().optional(),
  /** What the upper platen’s face is; absent: dark coated. */
  finish: z.enum(FINISHES).optional(),
  /** The base where it is smaller than the upper platen. */
  base: Platen.optional(),
  /** What a usual garment adds to a dial’s reading against the press closed empty. */
  garmentShift: z.number().min(0, 'A garment never lowers the reading.').max(5, 'A garment adds less than 5 to a dial.').optional(),
  /** What pushes an air press down. */
  drive: AirDriveSchema.optional(),
  /** Power and mass of the upper platen. */
  heater: HeaterSchema.optional(),
});
export type Press = z.infer<typeof PressSchema>;

/** Each platen of a press that can be surveyed, by what a survey calls it. */
export const platensOf = (press: Press): { id: string; name: string; widthMm: number; heightMm: number }[] => [
  { id: 'upper', name: 'upper platen', ...press.platen },
  ...(press.lower ? [{ id: 'lower', name: 'lower platen', ...press.platen }] : []),
  ...press.swapPlatens,
];

/** What a press nobody measured is taken to do at a place: right on average, 7 K one standard deviation, ±14 K in 95 %. */
const UNMEASURED = { offsetK: 0, spreadK: 14 } as const;

/**
 * Offset and spread to reckon with.
 *
 * @returns K, and K per K of setting; of a press that was never measured ±14 K, marked as such
 */
export function pressOffset(press: Press): Offset & { measured: boolean } {
  const { calibration } = press;
  const flat = { slope: 0, spreadPerK: 0, refC: 0 };
  if (!calibration) return { ...flat, ...UNMEASURED, measured: false };
  const { offsetK, spreadK, slope = 0, spreadPerK = 0, refC = 0 } = calibration;
  return { offsetK, spreadK, slope, spreadPerK, refC, measured: true };
}

/**
 * What a press delivers for a set value.
 *
 * @param setC °C
 * @returns lowest, middle and highest of its surface, °C
 */
export const deliveredBand = (press: Press, setC: number): Band => bandOf(pressOffset(press), setC);

/**
 * The set value whose band has its middle at a surface temperature, °C: the line's inverse.
 *
 * @param offset surface less readout at refC, K, and its rise, K/K
 * @param surfaceC wanted, °C
 * @example setForMiddle({ offsetK: -6, slope: 0, refC: 150 }, 150) // 156
 */
export const setForMiddle = ({ offsetK, slope, refC }: Offset, surfaceC: number): number =>
  (surfaceC - offsetK + slope * refC) / (1 + slope);

/** The press a piece would usually go on: one of its own shape, measured before unmeasured, the larger platen first. */
export function usualPress(presses: readonly Press[], isCap: boolean): Press | undefined {
  const area = (press: Press) => press.platen.widthMm * press.platen.heightMm;
  const rank = (press: Press) =>
    (press.retiredOn ? 8 : 0) + ((press.kind === 'cap') === isCap ? 0 : 4) + (isHandHeld(press) ? 2 : 0) + (press.calibration ? 0 : 1);
  return [...presses].sort((a, b) => rank(a) - rank(b) || area(b) - area(a))[0];
}

/**
 * A time as a press's timer can be set to it: the nearest of its steps, at least one.
 *
 * @param timeS wanted, s
 * @param timer its step, s
 * @returns s
 * @example dwell({ timerStepS: 5 }, 13) // 15
 */
export function dwell({ timerStepS = 1 }: Pick<Press, 'timerStepS'>, timeS: number): number {
  const steps = Math.max(1, Math.round(timeS / timerStepS));
  return Math.round(10 * steps * timerStepS) / 10;
}

/**
 * The shortest and longest time its timer can be set to within a range.
 *
 * @param range s
 * @returns s; of a range between two steps the nearest one, twice
 */
export function dwells(press: Pick<Press, 'timerStepS'>, { min, max }: { min: number; max: number }): { min: number; max: number } {
  const { timerStepS: step = 1 } = press;
  const [first, last] = [Math.ceil(min / step - 1e-9) * step, Math.floor(max / step + 1e-9) * step];
  const near = dwell(press, (min + max) / 2);
  return first <= last ? { min: Math.round(10 * first) / 10, max: Math.round(10 * last) / 10 } : { min: near, max: near };
}
