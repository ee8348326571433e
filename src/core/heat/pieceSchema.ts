/** A piece and its passage through the press as they are asked for: checked before anything is computed. Kept apart from the model, which is loaded where no schema is wanted. */
import { z } from 'zod';
import { DWELL_S, SET_C } from '../materials';
import { CRUSH_KPA } from '../press';
import { ON_BASE } from './layers';
import { figure, Thickness } from './scene';

const ROLES = ['pad over', 'cover', 'carrier', 'transfer', 'fabric', 'underlay', 'pad'] as const;
export type Role = (typeof ROLES)[number];
/** Most layers of one stack. */
const MOST_IN_STACK = 24;

const Surface = figure(0, SET_C.max, 'A platen', '°C');
const Dwell = figure(DWELL_S.min, DWELL_S.max, 'A time under heat', 's');

/** One layer of the stack as it is pressed. */
export const StackLayerSchema = z.object({
  role: z.enum(ROLES),
  name: z.string().min(1).max(120),
  k: figure(0.005, 1000, 'A conductivity', 'W/mK'),
  rho: figure(5, 20_000, 'A density', 'kg/m³'),
  c: figure(50, 10_000, 'A heat capacity', 'J/kgK'),
  thicknessMm: Thickness,
  /** Water it holds as it is loaded, kg/m². */
  waterKgM2: figure(0, 5, 'The water in a layer', 'kg/m²').optional(),
});
export type StackLayer = z.infer<typeof StackLayerSchema>;

/** What is pressed, between what, from what beginnings. */
export const PieceSchema = z
  .object({
    /** Top to bottom. */
    stack: z
      .array(StackLayerSchema)
      .min(1, 'A stack needs a layer.')
      .max(MOST_IN_STACK, `More than ${MOST_IN_STACK} layers do not lie in a press.`),
    contactKPa: z
      .number({ error: 'A pressure: give a number.' })
      .min(0.1, 'A pressure under 0.1 kPa cannot be reckoned with.')
      .max(CRUSH_KPA, `Over ${CRUSH_KPA} kPa on the piece itself crushes it. Is this the pressure of the air line?`),
    roomC: figure(-10, 60, 'The room', '°C'),
    /** The pad, and what else lies on the base, before the piece is loaded. */
    baseC: figure(-10, 250, 'The base', '°C'),
    /** Surface of a heated lower platen; null: the base is not heated. */
    lowerC: figure(0, 260, 'The lower platen', '°C').nullable(),
    /** How the upper platen gives way; null: it holds. */
    droop: z
      .object({
        capacityJm2K: figure(100, 1e7, 'The platen’s heat capacity', 'J/m²K'),
        recoveryWm2K: figure(0, 1e6, 'The platen’s recovery', 'W/m²K'),
      })
      .nullable(),
  })
  .superRefine(({ stack }, ctx) => {
    const say = (i: number, message: string) => ctx.addIssue({ code: 'custom', path: ['stack', i, 'role'], message });
    if (!stack.some(({ role }) => role === 'fabric'))
      ctx.addIssue({ code: 'custom', path: ['stack'], message: 'There is nothing to press on in this stack: add the cloth or the blank.' });
    const cloth = stack.findIndex(({ role }) => role === 'fabric');
    stack.forEach(({ role, name }, i) => {
      if (ON_BASE.includes(role) && i < cloth) say(i, `${name} lies on the base: it belongs under what is pressed.`);
      if ((role === 'cover' || role === 'pad over') && cloth >= 0 && i > cloth)
        say(i, `${name} lies over the piece: it belongs above what is pressed.`);
    });
  });
export type Piece = z.infer<typeof PieceSchema>;

/** A piece with a transfer in its stack: without one there is no glue to ask of. */
export const GluedPieceSchema = PieceSchema.refine(({ stack }) => stack.some(({ role }) => role === 'transfer'), {
  path: ['stack'],
  message: 'There is no transfer in this stack: add what is pressed on.',
});

const Finish = z.object({ surfaceC: Surface, timeS: Dwell, cover: StackLayerSchema.nullable() });

/** Hung in the air, on a rack with others, on a table, left on the base, or under a flat weight on a table. */
export const COOLING_PLACES = ['air', 'rack', 'table', 'base', 'weight'] as const;
export type CoolingPlace = (typeof COOLING_PLACES)[number];

/** What is done with it, in order. */
export const PassageSchema = z.object({
  /** Of the upper platen, °C. */
  surfaceC: Surface,
  timeS: Dwell,
  /** 0: none. */
  prePressS: figure(0, 600, 'A pre-press', 's'),
  /** A second press after the peel, with the sheet that lies over it. */
  finish: Finish.nullable(),
  cooling: z
    .object({
      where: z.enum(COOLING_PLACES),
      forS: figure(1, 14_400, 'A cooling time', 's'),
      /** What was not pressed and hangs under the piece once it is taken off, at the room's temperature: the back of a garment. */
      under: StackLayerSchema.optional(),
    })
    .nullable(),
});
export type Passage = z.infer<typeof PassageSchema>;
