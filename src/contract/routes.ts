/** The schemas of every route: what is parsed on the way in and checked on the way out. OpenAPI is made from this table. */
import { z } from 'zod';
import { HouseSchema, OrderSchema } from '../core/card';
import { Id } from '../core/materials';
import { PressSchema } from '../core/press';
import { RunEventSchema } from '../core/run';
import type { RouteName } from './paths';
import {
  BenchRowSchema,
  ComputeCardReplySchema,
  ComputeCardSchema,
  HouseReplySchema,
  LineCardSchema,
  LogQuerySchema,
  LogReplySchema,
  OrderReplySchema,
  PressReplySchema,
  RailSchema,
  RunReplySchema,
  ShelfSchema,
  StartRunSchema,
} from './schemas';

const none = z.object({});
const byId = z.object({ id: Id });

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

export const ROUTES = {
  health: route('Whether the server and its database are well', {
    reply: z.object({ ok: z.literal(true), now: z.number(), database: z.string(), app: z.string() }),
  }),
  bench: route('The queue: every order with its lamp and next step, soonest due first', {
    reply: z.object({ today: z.string(), orders: z.array(BenchRowSchema) }),
  }),
  order: route('One order with the state of its lines', { params: byId, reply: OrderReplySchema }),
  putOrder: route('Create an order, or change it when If-Match names the version last seen', {
    params: byId,
    body: OrderSchema,
    reply: OrderReplySchema,
  }),
  removeOrder: route('Take an order off the bench; its pressings stay. PUT it again to bring it back', {
    params: byId,
    reply: z.object({ removed: z.string() }),
  }),
  orderCards: route('The worked-out card of every line, with ways out where it holds', {
    params: byId,
    reply: z.object({ cards: z.array(LineCardSchema) }),
  }),
  shelf: route('Fabrics, blanks and transfer products', { reply: ShelfSchema }),
  presses: route('Every press', { reply: z.object({ presses: z.array(PressReplySchema) }) }),
  putPress: route('Change a press when If-Match names the version last seen', { params: byId, body: PressSchema, reply: PressReplySchema }),
  house: route('House rules, units and room', { reply: HouseReplySchema }),
  putHouse: route('Change the house when If-Match names the version last seen', { body: HouseSchema, reply: HouseReplySchema }),
  run: route('A run with its frozen card and all its events', { params: byId, reply: RunReplySchema }),
  putRun: route('Start a run of what is left of a line: freezes its card', { params: byId, body: StartRunSchema, reply: RunReplySchema }),
  putRunEvent: route('One event of a run, durable before the reply; the same id twice is the same event', {
    params: byId.extend({ eventId: z.uuid() }),
    body: RunEventSchema,
    reply: RunReplySchema,
  }),
  pressings: route('Pressings, newest first', { query: LogQuerySchema, reply: LogReplySchema }),
  rail: route('What every press does now, and every running clock', { reply: RailSchema }),
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
