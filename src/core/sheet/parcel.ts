/** A parcel of bought transfers: what was ordered and what came, looked over once, so that gate, run and log can go by it. */
import { z } from 'zod';
import { Id, Initials, Name, RetiredOn, Words } from '../materials';
import { PARCEL_LOOKS } from './parcelLooks';
import { TESTED_RESULTS } from './tested';

const Day = z.iso.date('A day is written as 2026-05-31.');
const Transfers = z
  .number()
  .int('Whole transfers only.')
  .min(0, 'Not less than 0.')
  .max(100_000, 'A parcel has at most 100,000 transfers.');
const Side = z.number().min(1, 'At least a millimetre.').max(2000, 'At most two metres.');

const PARCEL_FIELDS = z.object({
  id: Id,
  name: Name,
  productId: Id,
  supplier: Words,
  /** As the orders call it: prints of this art and transfer are pressed from it. */
  art: Name,
  /** Of one transfer, mm; null: not told. */
  widthMm: Side.nullable(),
  heightMm: Side.nullable(),
  colour: Words,
  ordered: Transfers.min(1, 'A parcel has one transfer at least.'),
  /** What comes beside what was ordered. */
  spares: Transfers,
  /** Transfers on one sheet, to be cut apart. */
  perSheet: z.number().int('Whole transfers only.').min(1, 'A sheet has one transfer at least.').max(500, 'At most 500 on a sheet.'),
  /** The day it is promised for; null: not told. */
  expectedOn: Day.nullable(),
  /** The day it came; null: it is on its way. */
  arrivedOn: Day.nullable(),
  /** Counted last: so many, at that instant, ms; null: never. */
  counted: z.object({ n: Transfers, at: z.number().int() }).nullable(),
  /** What was found as ordered. */
  agrees: z.array(z.enum(PARCEL_LOOKS)).max(PARCEL_LOOKS.length),
  /** The day on the sheet of instructions that came with it; null: none came, or it bears no day. */
  sheetOn: Day.nullable(),
  /** One of it pressed on scrap before any good piece. */
  trial: z
    .object({ on: Day, by: Initials.min(1, 'Whose trial it was: initials.'), result: z.enum(TESTED_RESULTS), note: Words })
    .nullable(),
  /** Where it lies. */
  lies: Words,
  note: Words,
  retiredOn: RetiredOn,
});

export const ParcelSchema = PARCEL_FIELDS.superRefine((parcel, context) => {
  if (parcel.arrivedOn !== null) return;
  const away = (field: string, what: string) =>
    context.addIssue({ code: 'custom', path: [field], message: `${what} before it came. Give the day it came first.` });
  if (parcel.counted) away('counted', 'It cannot be counted');
  if (parcel.agrees.length > 0) away('agrees', 'It cannot be checked against the order');
  if (parcel.trial) away('trial', 'Nothing of it can be tried');
});
export type Parcel = z.infer<typeof PARCEL_FIELDS>;

/** What stands in a parcel of which only its transfer, art and number are known: nothing came yet. */
export const UNTOLD_PARCEL = {
  supplier: '',
  widthMm: null,
  heightMm: null,
  colour: '',
  spares: 0,
  perSheet: 1,
  expectedOn: null,
  arrivedOn: null,
  counted: null,
  agrees: [],
  sheetOn: null,
  trial: null,
  lies: '',
  note: '',
} satisfies Partial<Parcel>;
