/** The pressing: the record of one print's whole passage on one item. Written once; later facts are amendments. */
import { z } from 'zod';
import type { Card } from '../card';
import { COVER_KINDS, Id, PRESSURE_BANDS, Words } from '../materials';
import { RosterEntrySchema } from '../order';
import { PEEL_HEATS, type PieceResult, READ_BY, type Run, type RunPart, SPOIL_REASONS, SpotAreaSchema } from '../run';

export const PressingSchema = z.object({
  id: z.uuid(),
  runId: Id,
  orderId: Id,
  orderName: z.string(),
  lineId: Id,
  printKey: z.string(),
  piece: z.number().int(),
  /** The number or name this piece carries; null: it is like the others. */
  person: RosterEntrySchema.nullable(),
  cardHash: z.string(),
  blankName: z.string(),
  fabricName: z.string(),
  size: z.string(),
  productName: z.string(),
  /** Every layer in pressing order, the last the product above. */
  layerNames: z.array(z.string()),
  pressName: z.string(),
  position: z.string(),
  artName: z.string(),
  /** Names of the parcels its transfers were taken from; absent: none was known. */
  parcels: z.array(z.string()).optional(),
  /** What was carded and set. */
  setC: z.number(),
  /** The lower platen, when heat came from both sides. */
  lowerC: z.number().nullable(),
  timeS: z.number(),
  pressureBand: z.string(),
  peel: z.string(),
  /** What was really done. */
  pressedS: z.number().nullable(),
  closings: z.array(
    z.object({
      stage: z.string(),
      plannedS: z.number(),
      closedAt: z.number(),
      openedAt: z.number(),
      readC: z.number().nullable().optional(),
      /** What the press was set to, °C, and its band of pressure where that was not as carded. */
      setC: z.number().optional(),
      band: z.enum(PRESSURE_BANDS).optional(),
      /** What was read before it and during it: °C, or the gauge's own figure. */
      readings: z.array(z.object({ by: z.enum(READ_BY), value: z.number(), at: z.number() })).optional(),
      /** Made although the last reading of the heat was off. */
      passedOver: z.literal(true).optional(),
      /** A part pressed again: where on the art, as shares of it, and under what. */
      spot: z.object({ area: SpotAreaSchema, cover: z.enum(COVER_KINDS).nullable() }).optional(),
    }),
  ),
  /** Each peel: s after the opening (or the end of a rub) until the hand began, as carded and as it was. */
  peels: z
    .array(
      z.object({
        peel: z.enum(PEEL_HEATS),
        plannedS: z.number(),
        tookS: z.number(),
        untilS: z.number().optional(),
      }),
    )
    .optional(),
  outcome: z.enum(['good', 'spoiled']),
  reason: z.enum(SPOIL_REASONS).nullable(),
  /** What was lost of a spoiled piece where that was its blank alone; absent: the whole piece. */
  lost: z.literal('blank').optional(),
  laidBack: z.number().int(),
  note: z.string(),
  /** Photos of it, by their ids; absent where none was taken. */
  photos: z.array(z.uuid()).optional(),
  operator: z.string(),
  roomC: z.number(),
  humidityPercent: z.number(),
  startedAt: z.number(),
  endedAt: z.number(),
});
export type Pressing = z.infer<typeof PressingSchema>;

/** A later fact about a pressing. `standing` from `counts` to `withdrawn` is how a verdict is undone. */
export const AmendmentSchema = z.object({
  id: z.uuid(),
  pressingId: z.uuid(),
  field: z.enum(['standing', 'outcome', 'note', 'placement', 'rescued']),
  from: z.string(),
  to: z.string(),
  by: z.string(),
  why: Words,
  at: z.number().int(),
});
export type Amendment = z.infer<typeof AmendmentSchema>;

export interface PressingContext {
  orderName: string;
  /** Names of the parcels its transfers came from. */
  parcels?: readonly string[];
  operator: string;
  roomC: number;
  humidityPercent: number;
}

/**
 * The record of a piece that was looked over already, as carded unless the run says otherwise.
 *
 * @param run of whose print the piece is, and in which run it was pressed
 * @param result with the piece counted within its print
 *
 * Its id is that of the verdict event, so the same event sent twice is the same pressing.
 */
export function pressingOf(
  run: Pick<Run, 'id' | keyof RunPart>,
  card: Card,
  result: PieceResult,
  { parcels = [], ...context }: PressingContext,
): Pressing {
  const { of, set } = card;
  const presses = result.closings.filter((closing) => closing.stage === 'press');
  const pressedMs = presses.reduce((sum, closing) => sum + closing.openedAt - closing.closedAt, 0);
  return {
    id: result.eventId,
    runId: run.id,
    orderId: run.orderId,
    lineId: run.lineId,
    printKey: run.printKey,
    person: of.roster[result.piece - 1] ?? null,
    cardHash: run.cardHash,
    piece: result.piece,
    ...context,
    blankName: of.blankName,
    fabricName: of.fabricName,
    size: of.size,
    productName: of.productName,
    layerNames: of.layers.map((layer) => layer.productName),
    pressName: of.pressName,
    position: of.position,
    artName: of.artName,
    ...(parcels.length > 0 && { parcels: [...parcels] }),
    setC: result.setC ?? set.tempC,
    lowerC: set.lowerC,
    timeS: result.setS ?? set.timeS,
    pressureBand: set.pressure.band,
    peel: set.peel,
    pressedS: presses.length > 0 ? Math.round(pressedMs / 100) / 10 : null,
    closings: result.closings,
    outcome: result.outcome,
    reason: result.reason,
    ...(result.lost && { lost: result.lost }),
    ...(result.peels.length > 0 && { peels: result.peels }),
    laidBack: result.laidBack,
    note: result.note,
    ...(result.photos.length > 0 && { photos: result.photos }),
    startedAt: result.startedAt,
    endedAt: result.endedAt,
  };
}
