/** Cards of schema version 2, as they were frozen before findings said as data where they come from, and before each layer had its own mirror and peel. */
import { z } from 'zod';
import { CARD_SCHEMA_VERSION, type Card, CardSchema } from '../card';
import type { Finding } from '../judgement';
import { CHOSEN_STAGES } from '../sheet';
import { judgedByMargin, MarginV2Schema, WindowV2Schema } from './windowV2';

const now = CardSchema.omit({ judgedBy: true, soundChance: true }).shape;
const layer = now.of.shape.layers.element;

export const FindingV2Schema = now.lamp.shape.findings.element.omit({ from: true, closing: true });

const CardV2Schema = z.object({
  ...now,
  schemaVersion: z.literal(2),
  window: WindowV2Schema,
  margins: z.array(MarginV2Schema),
  of: now.of.extend({ layers: z.array(layer.omit({ mirror: true, peel: true })) }),
  lamp: now.lamp.extend({ findings: z.array(FindingV2Schema) }),
});

/** A finding whose name said where it comes from: `margin: mark`, `bond: short`, `finish, margin: damage`; any other name is a rule's. */
export function findingV2({ rule: name, ...rest }: z.infer<typeof FindingV2Schema>): Finding {
  const closing = CHOSEN_STAGES.find((stage) => name.startsWith(`${stage}, `));
  const own = closing ? name.slice(closing.length + 2) : name;
  const from = (['margin', 'bond', 'heat'] as const).find((word) => own.startsWith(`${word}: `));
  return { ...rest, from: from ?? 'rule', rule: from ? own.slice(from.length + 2) : own, ...(closing && { closing }) };
}

/** A version 2 card in today's shape: its top layer is mirrored and peeled as the card says; of the others it never said. */
export function readCardV2(doc: unknown): Card {
  const { of, lamp, window, margins, ...rest } = CardV2Schema.parse(doc);
  const top = { mirror: rest.set.mirror, peel: rest.set.peel };
  const unknown = { mirror: null, peel: null };
  return {
    ...rest,
    schemaVersion: CARD_SCHEMA_VERSION,
    ...judgedByMargin(window, margins),
    of: { ...of, layers: of.layers.map((layer, i) => ({ ...layer, ...(i === of.layers.length - 1 ? top : unknown) })) },
    lamp: { ...lamp, findings: lamp.findings.map(findingV2) },
  };
}
