/** Orders as they are typed in: lines of items alike, each with one or more prints of one or more layers, perhaps named from a roster. */
import { z } from 'zod';
import { Dwell, Id, isSided, Name, POSITIONS, PRESSURE_BANDS, SetTemp, SIDES, sidedWords, Words } from '../materials';
import { ART_KINDS, CHOSEN_STAGES, type ChosenStage, PEELS } from '../sheet';

/** What the piece lies on. */
export const BASES = ['usual pad', 'firm pad', 'pillow'] as const;
export type Base = (typeof BASES)[number];

const DwellOrNone = z.union([z.literal(0), Dwell]);

/** What the operator decided against or beside the card's own pick; absent means the card picks. */
const Choices = z.object({
  /** Set value by hand, °C on the press's readout. */
  setC: SetTemp.optional(),
  timeS: Dwell.optional(),
  cover: z.boolean().optional(),
  peel: z.enum(PEELS).optional(),
  /** Seconds of the other closings; 0 leaves a pre-press or a second press out. */
  stageS: z
    .object({ marry: Dwell, 'pre-press': DwellOrNone, tack: Dwell, finish: DwellOrNone } satisfies Record<ChosenStage, z.ZodType<number>>)
    .partial()
    .optional(),
  /** Set values of the other closings, °C on the press’s readout. */
  stageC: z.partialRecord(z.enum(CHOSEN_STAGES), SetTemp).optional(),
  /** How hard it is pressed, and in the other closings. */
  band: z.enum(PRESSURE_BANDS).optional(),
  stageBand: z.partialRecord(z.enum(CHOSEN_STAGES), z.enum(PRESSURE_BANDS)).optional(),
  /** A second way the sheet itself offers, by its name. */
  alternative: Name.optional(),
  /** Hot from below, cool from above. */
  heat: z.literal('split').optional(),
  /** Set value of the lower platen by hand, °C, where the heat is split. */
  lowerC: SetTemp.optional(),
  base: z.enum(BASES).optional(),
  /** A swap-in platen of the press. */
  platenId: Id.optional(),
});
export type Choices = z.infer<typeof Choices>;

/** Choices with the heat from another side: set values by hand belong to the way they were chosen for. */
export function heated({ heat: _, setC: _set, lowerC: _lower, ...free }: Choices, heat: 'above' | 'split'): Choices {
  return heat === 'split' ? { ...free, heat } : free;
}

const PrintLayerSchema = z.object({
  /** Short name within the print, `a`, `b`…; other layers say by it what they lie over. */
  key: z.string().regex(/^[a-z0-9]{1,12}$/, 'A layer’s key is up to 12 small letters and figures.'),
  productId: Id,
  /** Its colour, as the sheet calls it. */
  colour: Name.optional(),
  over: z.array(z.string()).max(10),
});
export type PrintLayer = z.infer<typeof PrintLayerSchema>;

/**
 * Layers in the order they are pressed: each after all it lies over, otherwise as they were named.
 * Null when some lie over each other in a ring.
 */
export function pressingOrder(layers: readonly PrintLayer[]): PrintLayer[] | null {
  const order: PrintLayer[] = [];
  const waiting = [...layers];
  while (waiting.length > 0) {
    const next = waiting.findIndex((layer) => layer.over.every((key) => order.some((done) => done.key === key)));
    if (next < 0) return null;
    order.push(...waiting.splice(next, 1));
  }
  return order;
}

const LayersSchema = z
  .array(PrintLayerSchema)
  .min(1, 'A print needs a transfer.')
  .max(8, 'More than eight layers will not hold together.')
  .superRefine((layers, ctx) => {
    const keys = layers.map((layer) => layer.key);
    const say = (i: number, path: string, message: string) => ctx.addIssue({ code: 'custom', path: [i, path], message });
    layers.forEach((layer, i) => {
      if (keys.indexOf(layer.key) !== i) say(i, 'key', `Two layers are called ${layer.key}.`);
      for (const key of layer.over) if (!keys.includes(key)) say(i, 'over', `Layer ${layer.key} lies over ${key}, which is not there.`);
    });
    if (layers.every((layer) => layer.over.every((key) => keys.includes(key))) && pressingOrder(layers) === null) {
      const ring = layers.filter((layer) => layer.over.length > 0).map((layer) => layer.key);
      ctx.addIssue({ code: 'custom', message: `Layers ${ring.join(', ')} lie over each other in a ring: say which is pressed first.` });
    }
  });

/** Where the middle of the art lies from the platen’s, mm: x to the right, y towards the operator; and how the piece is turned. */
export const LaySchema = z.object({
  xMm: z.number().min(-1000).max(1000),
  yMm: z.number().min(-1000).max(1000),
  turn: z.union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)]),
});

export const PrintSchema = z.object({
  /** Short name within the line; runs and records go by it. */
  key: z.string().regex(/^[a-z0-9-]{1,36}$/, 'A print’s key is small letters, figures and hyphens.'),
  position: z.enum(POSITIONS),
  /** The wearer's left or right, of a position a piece has twice; absent: nobody said. */
  side: z.enum(SIDES).optional(),
  artName: Name,
  artKind: z.enum(ART_KINDS),
  widthMm: z.number().positive('The art needs a width.').max(2000, 'Art wider than 2 m is not for a press.'),
  heightMm: z.number().positive('The art needs a height.').max(2000, 'Art taller than 2 m is not for a press.'),
  layers: LayersSchema,
  /** A printed film pressed into a high-build layer from behind. */
  embossed: z.boolean(),
  /** Several parts that do not hang together. */
  looseParts: z.boolean(),
  smallType: z.boolean(),
  /** It is meant to run over a seam. */
  crossesSeam: z.boolean(),
  pressId: Id,
  /** Absent: as it is worked out. */
  lay: LaySchema.optional(),
  /** Taken off its position’s rule by hand, mm: to the right as it lies before the operator, and down. */
  moved: z.object({ xMm: z.number().min(-1000).max(1000), yMm: z.number().min(-1000).max(1000) }).optional(),
  /** Pressed in the same closing as the print before it on its line. */
  withBefore: z.literal(true).optional(),
  choices: Choices,
});
export type Print = z.infer<typeof PrintSchema>;

/** The layer that gets the full press: the last one in pressing order. */
export function topLayer(print: Pick<Print, 'layers'>): PrintLayer {
  const top = (pressingOrder(print.layers) ?? print.layers).at(-1);
  if (!top) throw new TypeError('a print without layers never went through its schema');
  return top;
}

/** What makes one piece of a line its own: the number or name it carries. */
export const RosterEntrySchema = z
  .object({
    number: z.string().trim().max(6, 'Keep a number to 6 signs.'),
    name: z
      .string()
      .trim()
      .max(40, 'Keep a name to 40 letters.')
      .regex(/^[^<>]*$/, 'A name cannot hold < or >.'),
  })
  .refine((person) => person.number !== '' || person.name !== '', { message: 'Give a number or a name.' });
export type RosterEntry = z.infer<typeof RosterEntrySchema>;

/** More pieces than this nobody lays out before the first is hot. */
export const MOST_A_CLOSING = 60;

const AT_RULE = { xMm: 0, yMm: 0 };

/** Two prints of one place that were moved so far from each other that neither lies on the other: the halves of one picture. */
function areApart(a: Print, b: Print): boolean {
  const [{ xMm, yMm }, other] = [a.moved ?? AT_RULE, b.moved ?? AT_RULE];
  const slackMm = 0.01;
  return (
    Math.abs(xMm - other.xMm) >= (a.widthMm + b.widthMm) / 2 - slackMm ||
    Math.abs(yMm - other.yMm) >= (a.heightMm + b.heightMm) / 2 - slackMm
  );
}

type Together = Pick<Print, 'withBefore' | 'position' | 'pressId' | 'layers'>;
const layersIn = ({ layers }: Together): string => JSON.stringify((pressingOrder(layers) ?? layers).map(({ productId }) => productId));

/** What keeps several designs out of one closing, and where it is said. */
function togetherFaults(line: {
  prints: Together[];
  perClosing: number;
  roster: unknown[];
  sharesWith?: string | undefined;
}): [(string | number)[], string][] {
  if (!line.prints.some(({ withBefore }) => withBefore)) return [];
  const faults = line.prints.flatMap((print, i): [(string | number)[], string][] => {
    const before = line.prints[i - 1];
    if (!print.withBefore) return [];
    const wrong = (message: string): [(string | number)[], string][] => [[['prints', i, 'withBefore'], message]];
    if (!before) return wrong('The first print has none before it to share a closing with.');
    if (print.position !== before.position)
      return wrong('Designs of one closing lie on the same side of the piece: give them one position.');
    if (print.pressId !== before.pressId) return wrong('Designs of one closing are on one press.');
    return layersIn(print) === layersIn(before) ? [] : wrong('Designs of one closing have the same transfer.');
  });
  const rest: [boolean, string][] = [
    [line.perClosing > 1, 'With several designs in a closing there is one piece in it.'],
    [line.roster.length > 0, 'Pieces with names have one design a closing.'],
    [line.sharesWith !== undefined, 'With several designs in a closing it is not shared with another line.'],
  ];
  return [...faults, ...rest.flatMap(([is, message]): [(string | number)[], string][] => (is ? [[['perClosing'], message]] : []))];
}

export const LineSchema = z
  .object({
    id: Id,
    blankId: Id,
    size: z.string().trim().min(1).max(20),
    count: z
      .number()
      .int('Pieces come whole.')
      .min(1, 'A line has at least one piece.')
      .max(1000, 'Split a line of more than 1000 pieces.'),
    prints: z.array(PrintSchema).min(1, 'A line needs a print.').max(8),
    /** One entry a piece, in the order they are pressed; empty: the pieces are all alike. */
    roster: z.array(RosterEntrySchema).max(1000),
    /** Numbers that stand on several pieces because people share them: it was asked. */
    sharedNumbers: z.array(z.string().max(6)).max(1000).optional(),
    /** Pieces pressed in one closing. */
    perClosing: z.number().int().min(1).max(MOST_A_CLOSING),
    /** Another line whose pieces lie in the same closing. */
    sharesWith: Id.optional(),
  })
  .superRefine((line, ctx) => {
    const say = (path: (string | number)[], message: string) => ctx.addIssue({ code: 'custom', path, message });
    if (line.roster.length > 0 && line.roster.length !== line.count)
      say(
        ['roster'],
        `The roster has ${line.roster.length} ${line.roster.length === 1 ? 'entry' : 'entries'} for ${line.count} pieces. Every piece needs its own.`,
      );
    const seen = new Map<string, number>();
    line.roster.forEach(({ number }, i) => {
      const before = seen.get(number);
      if (number !== '' && before !== undefined && !line.sharedNumbers?.includes(number))
        say(['roster', i, 'number'], `Number ${number} is already on piece ${before + 1}. Change one, or say that they share it.`);
      seen.set(number, i);
    });
    const keys = line.prints.map((print) => print.key);
    keys.forEach((key, i) => {
      if (keys.indexOf(key) !== i) say(['prints', i, 'key'], `Two prints are called ${key}.`);
    });
    line.prints.forEach((print, i) => {
      const same = (other: Print) =>
        other.position === print.position &&
        (other === print || !areApart(other, print)) &&
        !(isSided(print.position) && other.side && print.side && other.side !== print.side);
      const before = line.prints.findIndex(same);
      if (before < i)
        say(
          ['prints', i, 'position'],
          `Two prints are meant for the ${sidedWords(print)}.${isSided(print.position) ? ' Say left or right for each.' : ''}`,
        );
    });
    for (const [path, message] of togetherFaults(line)) say(path, message);
    if (line.sharesWith === line.id) say(['sharesWith'], 'A line cannot share a closing with itself; raise its pieces per closing.');
  });
export type Line = z.infer<typeof LineSchema>;

/**
 * Prints of an order one after the other: the least change at the press first; one person’s pieces before the next person’s; or
 * all of one position first.
 */
export const GOES_BY = ['press', 'person', 'position'] as const;
export type GoesBy = (typeof GOES_BY)[number];

export const OrderSchema = z.object({
  id: Id,
  name: Name,
  customer: z
    .string()
    .trim()
    .max(80, 'Keep the customer to 80 letters.')
    .regex(/^[^<>]*$/, 'A customer cannot hold < or >.'),
  /** Day it is wanted, in the shop's own calendar. */
  due: z.iso.date('Give the due day as year-month-day.'),
  note: Words,
  lines: z.array(LineSchema).max(200, 'Split an order of more than 200 lines.'),
  /** By what its prints follow each other; absent: by press. */
  goesBy: z.enum(GOES_BY).optional(),
  /** The order this one repeats. */
  again: Id.optional(),
});
export type Order = z.infer<typeof OrderSchema>;
