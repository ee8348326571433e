/** What a platen is measured with, and how far each instrument may be wrong. */
import { z } from 'zod';

const Emissivity = z.number().min(0.05, 'An emissivity under 0.05 is a mirror.').max(1, 'An emissivity cannot be over 1.');

export const InstrumentSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('probe') }),
  z.object({
    kind: z.literal('strip'),
    /** From one colour change to the next, K. */
    stepK: z.number().min(1, 'A strip changes in steps of at least 1 K.').max(30, 'A strip with steps over 30 K tells nothing.'),
  }),
  z.object({ kind: z.literal('infrared'), emissivitySet: Emissivity }),
]);
export type Instrument = z.infer<typeof InstrumentSchema>;

export const FINISHES = ['dark coated', 'bare metal'] as const;
export type Finish = (typeof FINISHES)[number];

/** Emissivity of a platen's face: dark coatings radiate nearly all they could, bare aluminium mirrors the room. */
const EMISSIVITY: Record<Finish, number> = { 'dark coated': 0.9, 'bare metal': 0.1 };

const KELVIN = 273.15;
const fourth = (tempC: number) => (tempC + KELVIN) ** 4;
const root = (t4: number) => Math.max(0, t4) ** 0.25 - KELVIN;

/** Where a reading by radiation was taken. */
export interface Radiation {
  emissivitySet: number;
  emissivity: number;
  roomC: number;
}

/**
 * The surface an infrared reading means, °C.
 *
 * Total radiation: the gun takes what it receives as `ε_set·σT_read⁴ + (1 − ε_set)·σT_room⁴`; the surface sends `ε·σT⁴` and
 * mirrors `(1 − ε)·σT_room⁴`, so `T⁴ = (ε_set·T_read⁴ + (ε − ε_set)·T_room⁴) / ε` in kelvin.
 *
 * @param readC what the gun shows, °C
 * @param radiation what the gun is set to and what the surface has, 0 to 1; the room, °C
 * @see Incropera, Fundamentals of Heat and Mass Transfer, §12.4 (gray surfaces, irradiation from large surroundings)
 * @example surfaceFromInfrared(150, { emissivitySet: 0.95, emissivity: 0.5, roomC: 150 }) // 150.000
 */
export function surfaceFromInfrared(readC: number, { emissivitySet, emissivity, roomC }: Radiation): number {
  return root((emissivitySet * fourth(readC) + (emissivity - emissivitySet) * fourth(roomC)) / emissivity);
}

/**
 * What an infrared gun shows for a surface, °C: the same balance the other way round.
 *
 * @param radiation what the gun is set to and what the surface has, 0 to 1; the room, °C
 * @param surfaceC °C
 * @example infraredReading(150, { emissivitySet: 0.95, emissivity: 0.95, roomC: 21 }) // 150.000
 */
export function infraredReading(surfaceC: number, { emissivitySet, emissivity, roomC }: Radiation): number {
  return root((emissivity * fourth(surfaceC) + (emissivitySet - emissivity) * fourth(roomC)) / emissivitySet);
}

/** A reading as the surface it means, or why it cannot be one. */
export type Taken = { surfaceC: number } | { refused: 'infrared on bare metal'; wouldShowC: number };

/**
 * Takes a reading for what it is worth.
 *
 * Infrared on bare metal is refused, with the figure a gun would show there for a surface at `setC`: the room, mostly.
 */
export function takeReading(
  readC: number,
  instrument: Instrument,
  { finish, roomC, setC }: { finish: Finish; roomC: number; setC: number },
): Taken {
  if (instrument.kind !== 'infrared') return { surfaceC: readC };
  const radiation = { emissivitySet: instrument.emissivitySet, emissivity: EMISSIVITY[finish], roomC };
  if (finish === 'bare metal') return { refused: 'infrared on bare metal', wouldShowC: infraredReading(setC, radiation) };
  return { surfaceC: surfaceFromInfrared(readC, radiation) };
}
