/** Small schemas that many shelf things share: ids, names, windows. */
import { z } from 'zod';
import { speakPlainly } from '../units';

speakPlainly();

/** A client-made UUID, or a short slug of a built-in or demo thing. */
export const Id = z.string().regex(/^[a-z0-9][a-z0-9-]{1,63}$/, 'An id is small letters, figures and hyphens.');

/** What a press may be set to, °C, and how long a closing may last, s: the same wherever one is typed, told or stored. */
export const SET_C = { min: 20, max: 260 } as const;
export const DWELL_S = { min: 0.2, max: 3600 } as const;
export const SetTemp = z.number().min(SET_C.min, 'No press is set under 20 °C.').max(SET_C.max, 'No press is set over 260 °C.');
export const Dwell = z.number().min(DWELL_S.min, 'No closing is shorter than 0.2 s.').max(DWELL_S.max, 'No closing lasts over an hour.');

/** A name shown to people. Control characters and angle brackets are refused, so no name can carry markup. */
export const Name = z
  .string()
  .trim()
  .min(1, 'Give it a name.')
  .max(80, 'Keep the name to 80 letters.')
  // biome-ignore lint/suspicious/noControlCharactersInRegex: control characters are what this refuses
  .regex(/^[^<>\u0000-\u001f\u007f]*$/, 'A name cannot hold < or > or control characters.');

/** Initials as they stand on a record; empty where nobody gave any. */
export const Initials = z
  .string()
  .trim()
  .max(8, 'Initials, at most 8 letters.')
  .regex(/^[^<>]*$/, 'Initials cannot hold < or >.');

/** Free words on one or more lines. */
export const Words = z.string().trim().max(500, 'Keep it to 500 letters.');

/** The day a thing was taken off the shelf; records that name it keep it. Absent: in use. */
export const RetiredOn = z.iso.date().optional();

/** A range with a figure to begin with in it; without one, the middle is taken. */
export type Range = { min: number; max: number; nominal?: number | undefined };

/**
 * Where a range begins: its own figure, or the middle.
 *
 * @param range min ≤ nominal ≤ max, in one unit
 * @returns in the unit of the range
 * @example nominalOf({ min: 150, max: 160 }) // 155
 */
export const nominalOf = (range: Range): number => range.nominal ?? (range.min + range.max) / 2;

/** Pressure words, light to heavy. */
export const PRESSURE_BANDS = ['light', 'medium', 'firm', 'heavy'] as const;
export type PressureBand = (typeof PRESSURE_BANDS)[number];
