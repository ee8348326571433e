/** The schemas of every route: what is parsed on the way in and checked on the way out. OpenAPI is made from this table. */

import { z } from 'zod';
import { SuitedSchema, WorthSchema } from '../core/advice';
import { EntrySchema, GROUP_IDS } from '../core/find';
import { FirstHourSchema } from '../core/firstHour';
import { BondBandSchema, PeelClockSchema } from '../core/heat';
import { AllowedSchema, HeatQuerySchema, PeelQuerySchema, SweepQuerySchema } from '../core/heatBench';
import { HouseSchema } from '../core/house';
import { OffPlaceSchema, PersonKitSchema, RescueSchema } from '../core/log';
import { AidSchema, BlankSchema, FabricSchema, Id, Initials } from '../core/materials';
import { OrderSchema, RosterEntrySchema } from '../core/order';
import { PlatenMapSchema, PressAmendmentSchema, PressRecordSchema, PressSchema } from '../core/press';
import { RunEventSchema } from '../core/run';
import { ParcelSchema, ProductSchema, SHELF_KINDS, TestedSchema } from '../core/sheet';
import {
  BenchStackSchema,
  CorrectReplySchema,
  LearnedSchema,
  PracticeRoundSchema,
  PracticeScoreSchema,
  SimulatedSchema,
  SweepReplySchema,
} from './heat';
import { PHOTO_MOST, type RouteName } from './paths';
import {
  ClosingQuerySchema,
  ClosingReplySchema,
  FeasibilityQuerySchema,
  FeasibilityReplySchema,
  PlacementQuerySchema,
  PlacementReplySchema,
  SizeSplitQuerySchema,
  SizeSplitReplySchema,
} from './placement';
import {
  AgainReplySchema,
  BenchRowSchema,
  ComputeCardReplySchema,
  ComputeCardSchema,
  ComputePressureReplySchema,
  ComputePressureSchema,
  ComputeSchoolSchema,
  ComputeSurveySchema,
  ComputeWarmUpReplySchema,
  ComputeWarmUpSchema,
  DayEndSchema,
  DevicesSchema,
  HandSchema,
  HouseReplySchema,
  LeanSchema,
  LineCardSchema,
  LoggedPressingSchema,
  LogQuerySchema,
  LogReplySchema,
  OrderReplySchema,
  ParcelsReplySchema,
  PressingReplySchema,
  PressReplySchema,
  PressReportSchema,
  RailSchema,
  RunEventsReplySchema,
  RunReplySchema,
  SchoolExampleSchema,
  ShelfSchema,
  StartRunSchema,
  TestedMatrixSchema,
  TogetherSchema,
  thingReply,
  UnreadableSchema,
  WishSchema,
} from './schemas';

const none = z.object({});
const byId = z.object({ id: Id });

/** How many events of a run are known already. */
const SinceQuery = z.object({ since: z.coerce.number().int().min(0).default(0) });

interface RouteSchemas {
  summary: string;
  params: z.ZodType;
  query: z.ZodType;
  body: z.ZodType;
  reply: z.ZodType;
}

const route = <
  R extends z.ZodType,
  P extends z.ZodType = typeof none,
  Q extends z.ZodType = typeof none,
  B extends z.ZodType = z.ZodUndefined,
>(
  summary: string,
  parts: { params?: P; query?: Q; body?: B; reply: R },
) => ({
  summary,
  params: (parts.params ?? none) as P,
  query: (parts.query ?? none) as Q,
  body: (parts.body ?? z.undefined()) as B,
  reply: parts.reply,
});

/** What is wrong with a list, by its line; with the number it is about where that stands twice. */
const ListFaults = z.array(z.object({ line: z.number(), message: z.string(), number: z.string().optional() }));

export const ROUTES = {
  health: route('Whether the server and its database are well', {
    /** `fresh`: this start made the shop. */
    reply: z.object({ ok: z.literal(true), now: z.number(), database: z.string(), app: z.string(), fresh: z.boolean() }),
  }),
  bench: route('The queue: every order with its lamp and next step, soonest due first', {
    reply: z.object({ today: z.string(), orders: z.array(BenchRowSchema), unreadable: z.array(UnreadableSchema) }),
  }),
  firstHour: route('How far a new shop is on the way to its first piece', { reply: FirstHourSchema }),
  putSample: route('Opens a sample shop to look round in, on a port of its own, until this server ends', {
    body: z.looseObject({}),
    reply: z.object({ port: z.number().int() }),
  }),
  find: route('Orders, people, the shelf, presses, pieces, settings and acts in which every word begins a word', {
    query: z.object({ q: z.string().max(100).default('') }),
    reply: z.object({
      groups: z.array(z.object({ group: z.enum(GROUP_IDS), entries: z.array(EntrySchema), more: z.boolean() })),
    }),
  }),
  dayEnd: route('What is left as the day ends: at the presses, which were hot, whether a backup is due, what comes next', {
    reply: DayEndSchema,
  }),
  order: route('One order with the state of its lines', { params: byId, reply: OrderReplySchema }),
  putOrder: route('Create an order, or change it when If-Match names the version last seen', {
    params: byId,
    body: OrderSchema,
    reply: OrderReplySchema.omit({ lines: true }),
  }),
  removeOrder: route('Take an order off the bench; its pressings stay. PUT it again, with the version this answers, to bring it back', {
    params: byId,
    reply: z.object({ removed: z.string(), version: z.number().int() }),
  }),
  orderCards: route('The worked-out card of every line, with ways out where it holds', {
    params: byId,
    reply: z.object({ cards: z.array(LineCardSchema) }),
  }),
  orderKit: route('How far each person of an order’s rosters is: what is good, and what is missing', {
    params: byId,
    reply: z.object({ people: z.array(PersonKitSchema) }),
  }),
  pressTogether: route('What else is open and can be pressed in the same run as a print of an order: the press is set alike for both', {
    params: byId,
    query: z.object({ line: Id, print: z.string().max(36) }),
    reply: z.object({ prints: z.array(TogetherSchema) }),
  }),
  shelf: route('Fabrics, blanks, transfer products, covers and pads', { reply: ShelfSchema }),
  putFabric: route('Add a fabric, or change it when If-Match names the version last seen', {
    params: byId,
    body: FabricSchema,
    reply: thingReply(FabricSchema),
  }),
  putBlank: route('Add a blank, or change it when If-Match names the version last seen', {
    params: byId,
    body: BlankSchema,
    reply: thingReply(BlankSchema),
  }),
  putProduct: route('Add a transfer, or change it when If-Match names the version last seen; a newer sheet keeps the older one', {
    params: byId,
    body: ProductSchema,
    reply: thingReply(ProductSchema),
  }),
  putAid: route('Add a cover sheet, pad or pillow, or change it when If-Match names the version last seen', {
    params: byId,
    body: AidSchema,
    reply: thingReply(AidSchema),
  }),
  putTested: route('Keep a tested setting, or change it when If-Match names the version last seen', {
    params: byId,
    body: TestedSchema,
    reply: thingReply(TestedSchema),
  }),
  putParcel: route('Keep a parcel of transfers, or change it when If-Match names the version last seen', {
    params: byId,
    body: ParcelSchema,
    reply: thingReply(ParcelSchema),
  }),
  parcels: route('What is left in each parcel, what took from it, and how many are wanted of its art', {
    reply: ParcelsReplySchema,
  }),
  removeThing: route('Take off the shelf what nothing names: the undo of having added it', {
    // the kind stands in the address of each endpoint itself
    params: byId.extend({ kind: z.enum(SHELF_KINDS).optional() }),
    reply: z.object({ removed: z.string() }),
  }),
  whichTransfer: route('Every transfer of the shelf and every family, ranked for a blank, an art and a count', {
    body: WishSchema,
    reply: z.object({ ranked: z.array(SuitedSchema) }),
  }),
  testedMatrix: route('Own transfers on own fabrics on a press: set values, lamps, and what was tested', {
    query: z.object({ press: Id }),
    reply: TestedMatrixSchema,
  }),
  measuringWorth: route('What each measurement the shop could make is worth to the open work, the most first', {
    query: z.object({ press: Id.optional() }),
    reply: z.object({ worth: z.array(WorthSchema) }),
  }),
  presses: route('Every press', { reply: z.object({ presses: z.array(PressReplySchema), unreadable: z.array(UnreadableSchema) }) }),
  putPress: route('Change a press when If-Match names the version last seen', { params: byId, body: PressSchema, reply: PressReplySchema }),
  pressReport: route('Everything found out about a press: records, maps, the chart over time, when the next survey is due', {
    params: byId,
    reply: PressReportSchema,
  }),
  putPressRecord: route('Add a survey, quick check, rotate test, paper pull or heating time; the same id twice is the same record', {
    params: byId.extend({ recordId: z.string().max(64) }),
    body: PressRecordSchema,
    reply: PressReportSchema,
  }),
  putPressAmendment: route('Say that a record of a press no longer counts, or counts again; the record itself stays', {
    params: byId.extend({ recordId: Id, amendmentId: z.uuid() }),
    body: PressAmendmentSchema.pick({ to: true, by: true, why: true }),
    reply: PressReportSchema,
  }),
  devices: route('What every measuring device said last', { reply: DevicesSchema }),
  putHand: route('Move the hand of the simulated probe that ships with the demo; no real device is ever told anything', {
    body: HandSchema,
    reply: HandSchema,
  }),
  house: route('House rules, units and room', { reply: HouseReplySchema }),
  putHouse: route('Change the house when If-Match names the version last seen', { body: HouseSchema, reply: HouseReplySchema }),
  run: route('A run with its frozen card and all its events', { params: byId, reply: RunReplySchema }),
  putRun: route('Start a run of what is left of a line: freezes its card', { params: byId, body: StartRunSchema, reply: RunReplySchema }),
  putRunEvent: route('One event of a run, durable before the reply; the same id twice is the same event', {
    params: byId.extend({ eventId: z.uuid() }),
    query: SinceQuery,
    body: RunEventSchema,
    reply: RunEventsReplySchema,
  }),
  runEvents: route('What is new of a run: its events from the one after so many on', {
    params: byId,
    query: SinceQuery,
    reply: RunEventsReplySchema,
  }),
  putPhoto: route('Keep a photo of a piece, as base64 of a small JPEG without metadata; the same id again is the same photo', {
    params: z.object({ id: z.uuid() }),
    body: z.object({ jpeg: z.base64().max(PHOTO_MOST) }),
    reply: z.object({ id: z.uuid() }),
  }),
  pressings: route('Pressings, newest first', { query: LogQuerySchema, reply: LogReplySchema }),
  pressing: route('One pressing with the card as it was', { params: z.object({ id: z.uuid() }), reply: PressingReplySchema }),
  again: route('A new order with the same card as a past pressing, and what has changed since', {
    params: z.object({ id: z.uuid() }),
    reply: AgainReplySchema,
  }),
  putPlaced: route('Note where a print came to lie, measured after pressing; the pressing itself stays as it is', {
    params: z.object({ id: z.uuid(), amendmentId: z.uuid() }),
    body: OffPlaceSchema.extend({ by: Initials }),
    reply: z.object({ pressing: LoggedPressingSchema }),
  }),
  putRescued: route('Note that a spoiled print was taken off, how long it took and with what; the pressing itself stays as it is', {
    params: z.object({ id: z.uuid(), amendmentId: z.uuid() }),
    body: RescueSchema.extend({ initials: Initials }),
    reply: z.object({ pressing: LoggedPressingSchema }),
  }),
  placementBias: route('How each operator’s prints lie off their place, by position', {
    reply: z.object({
      biases: z.array(
        z.object({ operator: z.string(), position: z.string(), n: z.number(), across: LeanSchema, down: LeanSchema, turn: LeanSchema }),
      ),
    }),
  }),
  logNames: route('Names the log may be narrowed by', {
    reply: z.object({ fabrics: z.array(z.string()), products: z.array(z.string()), presses: z.array(z.string()) }),
  }),
  rail: route('What every press does now, and every running clock', { reply: RailSchema }),
  readRoster: route('Read a roster for so many pieces; stores nothing', {
    body: z.object({
      text: z.string().max(200_000),
      pieces: z.number().int().min(1).max(1000),
      /** Numbers that people share: it was asked. */
      shared: z.array(z.string().max(6)).max(1000).default([]),
    }),
    reply: z.object({ roster: z.array(RosterEntrySchema), faults: ListFaults }),
  }),
  readKit: route('Read a list of people with the size of each garment; stores nothing', {
    body: z.object({
      text: z.string().max(200_000),
      garments: z.array(z.object({ name: z.string().max(120), sizes: z.array(z.string().max(20)).max(100) })).max(20),
    }),
    reply: z.object({
      people: z.array(RosterEntrySchema.extend({ sizes: z.array(z.string().nullable()) })),
      faults: ListFaults,
      /** Numbers that stand on several people: asked about. */
      shared: z.array(z.object({ number: z.string(), lines: z.array(z.number()) })),
    }),
  }),
  computeSurvey: route('The map a survey makes of a platen; stores nothing', {
    body: ComputeSurveySchema,
    reply: z.object({ map: PlatenMapSchema }),
  }),
  computePressure: route('Line pressure to contact pressure on an area, or back; stores nothing', {
    body: ComputePressureSchema,
    reply: ComputePressureReplySchema,
  }),
  computeWarmUp: route('Seconds from one temperature to another, and what a closing costs; stores nothing', {
    body: ComputeWarmUpSchema,
    reply: ComputeWarmUpReplySchema,
  }),
  computeHeat: route('Press a stack in thought: indices, stages and curves, with the band of the bond; stores nothing', {
    body: HeatQuerySchema.safeExtend({
      doubt: z.object({ platenK: z.number().min(0).max(40), shiftSd: z.number().min(0).max(1) }).optional(),
    }),
    reply: z.object({ seen: SimulatedSchema, band: BondBandSchema }),
  }),
  computeHeatCorrect: route(
    'The time, and where it must be the temperature, that restores a bond; and what would help most; stores nothing',
    {
      body: HeatQuerySchema.safeExtend({ allowed: AllowedSchema }),
      reply: CorrectReplySchema,
    },
  ),
  computeHeatSweep: route('The bond over any two inputs; stores nothing', { body: SweepQuerySchema, reply: SweepReplySchema }),
  computePeel: route('Seconds until a piece is warm and cold, in air, on a table, on the base, under a weight; stores nothing', {
    body: PeelQuerySchema,
    reply: PeelClockSchema,
  }),
  computePlacement: route('Where art goes on a blank of one size, the measures to lay it by, and what speaks against it; stores nothing', {
    body: PlacementQuerySchema,
    reply: PlacementReplySchema,
  }),
  computeFeasibility: route('Whether a placed print can be pressed on a platen, and the best lay; stores nothing', {
    body: FeasibilityQuerySchema,
    reply: FeasibilityReplySchema,
  }),
  computeSizeSplit: route('The fewest print widths for a run of sizes; stores nothing', {
    body: SizeSplitQuerySchema,
    reply: SizeSplitReplySchema,
  }),
  computeClosing: route('How many small pieces go into one closing, and where each lies; stores nothing', {
    body: ClosingQuerySchema,
    reply: ClosingReplySchema,
  }),
  orderHeat: route('The stack of one print of an order for the Heat bench, as its card has it', {
    params: byId,
    query: z.object({ line: Id, print: z.string().max(36) }),
    reply: z.object({ stack: BenchStackSchema }),
  }),
  shelfHeat: route('The stack of a blank, a transfer and a press of the shop for the Heat bench', {
    query: z.object({ blank: Id, product: Id, press: Id }),
    reply: z.object({ stack: BenchStackSchema }),
  }),
  learned: route('What the log has taught of each press with each transfer', { reply: z.object({ learned: z.array(LearnedSchema) }) }),
  practice: route('How practice went, by operator and kind of mistake', { reply: z.object({ scores: z.array(PracticeScoreSchema) }) }),
  putPractice: route('Keep a practice round; the same id twice is the same round', {
    params: z.object({ id: z.uuid() }),
    body: PracticeRoundSchema,
    reply: z.object({ scores: z.array(PracticeScoreSchema) }),
  }),
  computeSchool: route('What a choice of the house changes, on the piece it matters on: a card for each answer, with only what differs', {
    body: ComputeSchoolSchema,
    reply: SchoolExampleSchema,
  }),
  computeCard: route('Work out a card from everything in the body; stores nothing', {
    body: ComputeCardSchema,
    reply: ComputeCardReplySchema,
  }),
};

/** The same table by name, without each route's own types. */
export const TABLE: Record<RouteName, RouteSchemas> = { ...ROUTES };

export type Params<N extends RouteName> = z.output<(typeof ROUTES)[N]['params']>;
export type Query<N extends RouteName> = z.output<(typeof ROUTES)[N]['query']>;
export type QueryIn<N extends RouteName> = z.input<(typeof ROUTES)[N]['query']>;
export type Body<N extends RouteName> = z.output<(typeof ROUTES)[N]['body']>;
export type BodyIn<N extends RouteName> = z.input<(typeof ROUTES)[N]['body']>;
export type Reply<N extends RouteName> = z.output<(typeof ROUTES)[N]['reply']>;
