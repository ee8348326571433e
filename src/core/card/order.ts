/** Orders as they are typed in: lines of items alike with one print alike. */
import { z } from 'zod';
import { Id, Name, POSITIONS, Words } from '../materials';

/** What the operator decided against or beside the card's own pick; absent means the card picks. */
const Choices = z.object({
  /** Set value by hand, °C on the press's readout. */
  setC: z.number().min(20).max(260).optional(),
  timeS: z.number().min(1).max(3600).optional(),
  cover: z.boolean().optional(),
});
export type Choices = z.infer<typeof Choices>;

export const PrintSchema = z.object({
  position: z.enum(POSITIONS),
  artName: Name,
  widthMm: z.number().positive('The art needs a width.').max(2000, 'Art wider than 2 m is not for a press.'),
  heightMm: z.number().positive('The art needs a height.').max(2000, 'Art taller than 2 m is not for a press.'),
  productId: Id,
  choices: Choices,
});
export type Print = z.infer<typeof PrintSchema>;

export const LineSchema = z.object({
  id: Id,
  blankId: Id,
  size: z.string().trim().min(1).max(12),
  count: z.number().int('Pieces come whole.').min(1, 'A line has at least one piece.').max(1000, 'Split a line of more than 1000 pieces.'),
  print: PrintSchema,
  pressId: Id,
});
export type Line = z.infer<typeof LineSchema>;

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
});
export type Order = z.infer<typeof OrderSchema>;
