/** A piece and its passage through the press, as a scene: what lies where, for how long, in the art and on the bare face beside it. */
import { z } from 'zod';
import { DWELL_S, SET_C } from '../materials';
import { CRUSH_KPA } from '../press';
import { AIR_WM2K, BASE_PLATE_JM2K, contactResistance, LOOSE_KPA, RACK_WM2K, TABLE, WEIGHT } from './layers';
import { figure, type HeatLayer, type HeatStage, type Probe, type Scene, type Side, Thickness } from './scene';

const ROLES = ['pad over', 'cover', 'carrier', 'transfer', 'fabric', 'underlay', 'pad'] as const;
export type Role = (typeof ROLES)[number];
const ON_BASE: readonly Role[] = ['underlay', 'pad'];
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

/** Hands between the closings, s. */
const LOAD_S = 15;
const PLACE_S = 25;
const LIFT_S = 4;

const TRANSFER: readonly Role[] = ['carrier', 'transfer'];

const keyed = (piece: Piece) => piece.stack.map((layer, i) => ({ ...layer, key: `${i + 1} ${layer.role}` }));
type Keyed = ReturnType<typeof keyed>[number];

const asLayer = (
  { key, name, k, rho, c, thicknessMm, waterKgM2 = 0 }: Keyed | (StackLayer & { key: string }),
  startC: number,
): HeatLayer => ({
  key,
  name,
  k,
  rho,
  c,
  thicknessMm,
  startC,
  waterKgM2,
});

const PLACES = { air: 'in air', rack: 'on a rack' } as const;

const air = (roomC: number, lossWm2K: number = AIR_WM2K): Side => ({ kind: 'air', roomC, lossWm2K });

/** Builds the stages of one piece; `pieceOf` names its own layers, so that many pieces can follow each other over one base. */
// biome-ignore lint/complexity/noExcessiveCognitiveComplexity: the stages of a passage, told in order
function stagesOf(piece: Piece, passage: Passage, column: 'art' | 'bare', pieceOf: (key: string) => string) {
  const { contactKPa, roomC, baseC, lowerC, droop } = piece;
  const all = keyed(piece).map((layer) => (ON_BASE.includes(layer.role) ? layer : { ...layer, key: pieceOf(layer.key) }));
  const shown = column === 'art' ? all : all.filter(({ role }) => !TRANSFER.includes(role));
  const of = (keep: (layer: Keyed) => boolean) => shown.filter(keep);
  const base = of(({ role }) => ON_BASE.includes(role));
  const cloth = of(({ role }) => role === 'fabric');
  const over = of(({ role }) => role === 'pad over');
  const covers = of(({ role }) => role === 'cover');
  const transferLayers = of(({ role }) => TRANSFER.includes(role));
  const finishCover = passage.finish?.cover ? { ...passage.finish.cover, key: pieceOf('finish cover') } : null;

  const pressedContact = contactResistance(contactKPa);
  const loose = contactResistance(LOOSE_KPA);
  const bottom = (contact: number): Side =>
    lowerC !== null
      ? { kind: 'held', tempC: lowerC, contact }
      : { kind: 'body', key: 'base plate', startC: baseC, capacityJm2K: BASE_PLATE_JM2K, towardsC: roomC, recoveryWm2K: AIR_WM2K, contact };
  // a pad keeps its contact with the plate under it; cloth only lies on a heated platen
  const resting = bottom(base.length > 0 ? pressedContact : loose);
  let closing = 0;
  const platen = (surfaceC: number): Side => {
    closing++;
    return droop
      ? { kind: 'body', key: pieceOf(`platen ${closing}`), startC: surfaceC, towardsC: surfaceC, contact: pressedContact, ...droop }
      : { kind: 'held', tempC: surfaceC, contact: pressedContact };
  };
  const firm = new Set<string>();
  /** Contacts of a stack: pressed ones, ones that were pressed together before and hang together since, and loose ones. */
  const contacts = (stack: readonly { key: string; role: Role }[], pressed: boolean) =>
    stack.slice(1).map((below, i) => {
      const above = stack[i] as { key: string; role: Role };
      const joint = `${above.key}|${below.key}`;
      if (pressed) firm.add(joint);
      const still = ON_BASE.includes(above.role) || (firm.has(joint) && !ON_BASE.includes(below.role));
      return pressed || still ? pressedContact : loose;
    });
  const stages: HeatStage[] = [];
  const shut = (name: string, surfaceC: number, durationS: number, stack: readonly Keyed[]) =>
    stages.push({
      name,
      durationS,
      stack: stack.map(({ key }) => key),
      turned: [],
      contacts: contacts(stack, true),
      top: platen(surfaceC),
      bottom: bottom(pressedContact),
      pressureKPa: contactKPa,
    });
  const open = (name: string, durationS: number, stack: readonly Keyed[], under: Side) =>
    stages.push({
      name,
      durationS,
      stack: stack.map(({ key }) => key),
      turned: [],
      contacts: contacts(stack, false),
      top: air(roomC),
      bottom: under,
      pressureKPa: 0,
    });

  const lying = [...cloth, ...base];
  open('load', LOAD_S, lying, resting);
  if (passage.prePressS > 0) shut('pre-press', passage.surfaceC, passage.prePressS, [...over, ...lying]);
  open('place', PLACE_S, [...transferLayers, ...lying], resting);
  shut('press', passage.surfaceC, passage.timeS, [...over, ...covers, ...transferLayers, ...lying]);
  const freed = [...transferLayers, ...cloth];
  const film = transferLayers.filter(({ role }) => role === 'transfer');
  if (passage.finish) {
    open('peel', LIFT_S, [...transferLayers, ...lying], resting);
    shut('finish', passage.finish.surfaceC, passage.finish.timeS, [...(finishCover ? [finishCover] : []), ...film, ...lying]);
  }
  const extra: HeatLayer[] = finishCover ? [asLayer(finishCover, roomC)] : [];
  if (passage.cooling) {
    const { where, forS, under } = passage.cooling;
    const back = under && { ...under, role: 'fabric' as const, key: pieceOf('back') };
    if (back && where !== 'base') extra.push(asLayer(back, roomC));
    const left = [...(passage.finish ? [...film, ...cloth] : freed), ...(back && where !== 'base' ? [back] : [])];
    const table = { ...TABLE, role: 'underlay' as const, key: pieceOf('table') };
    const weight = { ...WEIGHT, role: 'cover' as const, key: pieceOf('weight') };
    if (where === 'base') open('cool on the base', forS, [...left, ...base], resting);
    else if (where === 'air' || where === 'rack')
      open(`cool ${PLACES[where]}`, forS, left, air(roomC, where === 'rack' ? RACK_WM2K : AIR_WM2K));
    else {
      extra.push(asLayer(table, roomC));
      if (where === 'weight') extra.push(asLayer(weight, roomC));
      open(
        where === 'weight' ? 'cool under a weight' : 'cool on a table',
        forS,
        [...(where === 'weight' ? [weight] : []), ...left, table],
        air(roomC),
      );
    }
  }
  const layers = shown.map((layer) => asLayer(layer, ON_BASE.includes(layer.role) ? baseC : roomC));
  return { layers: [...layers, ...extra], stages, cloth, film };
}

/** Places a piece is watched at: the bond line, the cloth right under it or its own face, and its inside. */
function probesOf({ cloth, film }: { cloth: readonly Keyed[]; film: readonly Keyed[] }, prefix = ''): Probe[] {
  // of several films the topmost is the one this press is to set: those under it were tacked before
  const [face, glue] = [cloth[0], film[0]];
  return [
    ...(glue ? [{ key: `${prefix}glue`, layer: glue.key, at: 'bottom' as const }] : []),
    ...(face
      ? [
          { key: `${prefix}face`, layer: face.key, at: 'top' as const },
          { key: `${prefix}inside`, layer: face.key, at: 'bottom' as const },
        ]
      : []),
  ];
}

/**
 * The scene of one piece: loaded, pre-pressed if it is, the transfer placed, pressed, finished if it is, cooled if that is asked.
 *
 * @param column through the art, or through the bare cloth beside it
 * @returns probes `glue` (in the art), `face` (top of the cloth) and `inside` (its underside)
 */
export function sceneOf(piece: Piece, passage: Passage, column: 'art' | 'bare'): Scene {
  const entry = stagesOf(piece, passage, column, (key) => key);
  return { layers: entry.layers, stages: entry.stages, probes: probesOf(entry) };
}

/**
 * Pieces one after another over the same base, which keeps what each has left in it.
 *
 * @param restS between one piece's last stage and the next one's loading, s
 * @returns probes `1 glue`, `2 glue` and so on
 */
export function seriesOf(piece: Piece, passage: Passage, pieces: number, restS: number): Scene {
  const layers: HeatLayer[] = [];
  const stages: HeatStage[] = [];
  const probes: Probe[] = [];
  const base = keyed(piece).filter(({ role }) => ON_BASE.includes(role));
  for (let n = 1; n <= pieces; n++) {
    const entry = stagesOf(piece, { ...passage, cooling: null }, 'art', (key) => `piece ${n} ${key}`);
    layers.push(...entry.layers.filter(({ key }) => !layers.some((other) => other.key === key)));
    stages.push(...entry.stages.map((stage) => ({ ...stage, name: `piece ${n} ${stage.name}` })));
    probes.push(...probesOf(entry, `${n} `));
    const last = entry.stages.at(-1);
    if (n < pieces && restS > 0 && base.length > 0 && last)
      stages.push({
        name: `rest ${n}`,
        durationS: restS,
        stack: base.map(({ key }) => key),
        turned: [],
        contacts: base.slice(1).map(() => contactResistance(piece.contactKPa)),
        top: air(piece.roomC),
        bottom: last.bottom,
        pressureKPa: 0,
      });
  }
  return { layers, stages, probes };
}
