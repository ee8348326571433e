/** Cards of schema version 1, as they were frozen before layers, rosters and split heat; kept so that old pressings still open. */
import { z } from 'zod';
import { CARD_SCHEMA_VERSION, type Card, CardSchema } from '../card';
import { FindingV2Schema, findingV2 } from './cardV2';
import { judgedByMargin, MarginV2Schema, WindowV2Schema } from './windowV2';

const now = CardSchema.shape;

const CardV1Schema = z.object({
  schemaVersion: z.literal(1),
  of: now.of.omit({ duty: true, layers: true, printKey: true, roster: true, perClosing: true, sheet: true }),
  set: now.set.omit({ lowerC: true, base: true, pad: true, platen: true, spots: true }),
  window: WindowV2Schema.omit({ slope: true, spreadPerK: true, refC: true }),
  delivered: now.delivered,
  margins: z.array(MarginV2Schema),
  smallestMarginK: now.smallestMarginK,
  lamp: now.lamp.extend({ findings: z.array(FindingV2Schema) }),
  stages: z.array(now.stages.element.omit({ setC: true })),
  steps: now.steps,
  reasons: now.reasons,
  care: now.care,
  minutesPerPiece: now.minutesPerPiece,
});

/** A version 1 card in today's shape. What it never said is filled with what it meant: one layer, one piece a closing, heat from above. */
export function readCardV1(doc: unknown): Card {
  const { of, set, stages, window, margins, lamp, ...rest } = CardV1Schema.parse(doc);
  return {
    ...rest,
    schemaVersion: CARD_SCHEMA_VERSION,
    lamp: { ...lamp, findings: lamp.findings.map(findingV2) },
    ...judgedByMargin({ ...window, slope: 0, spreadPerK: 0, refC: 0 }, margins),
    of: {
      ...of,
      duty: 'laundered',
      layers: [{ productId: of.productId, productName: of.productName, colour: null, mirror: set.mirror, peel: set.peel }],
      printKey: FIRST_PRINT,
      roster: [],
      perClosing: 1,
      sheet: { name: '', on: '' },
    },
    set: { ...set, lowerC: null, base: 'usual pad', pad: 'none', platen: null, spots: 1 },
    stages: stages.map((stage) => ({ ...stage, setC: stage.by === 'press' ? set.tempC : null })),
  };
}

/** The key of a line's only print, before lines could have several. */
export const FIRST_PRINT = 'a';
