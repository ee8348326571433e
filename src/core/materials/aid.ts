/** Aids: cover sheets, pads and pillows, with how worn they are and what may stand in for them. */
import { z } from 'zod';
import { COVER_AIDS } from './cover';
import { Id, Name, RetiredOn, Words } from './fields';

const PAD_KINDS = ['firm pad', 'felt', 'soft pad', 'foam', 'pillow'] as const;
export type PadKind = (typeof PAD_KINDS)[number];

/** What an aid may serve as. */
export const AID_KINDS = [...COVER_AIDS, ...PAD_KINDS] as const;

export const AidSchema = z.object({
  id: Id,
  name: Name,
  /** What it serves as. */
  serves: z.enum(AID_KINDS),
  /** Under the press, mm. */
  thicknessMm: z.number().min(0.02).max(60),
  wear: z.enum(['sound', 'worn', 'spent']),
  /** Aids that may stand in for it, best first. */
  substitutes: z.array(Id).max(10),
  note: Words,
  retiredOn: RetiredOn,
});
export type Aid = z.infer<typeof AidSchema>;

const usable = (aid: Aid): boolean => !aid.retiredOn && aid.wear !== 'spent';

/** The aid that will really lie there. `instead` names the spent one it stands in for. */
export interface FoundAid {
  aid: Aid;
  instead: Aid | null;
}

/**
 * The shop's own aid for a purpose: a sound one before a worn one; when all are spent, the first usable substitute.
 * Null when the shop has none at all.
 */
export function aidFor(aids: readonly Aid[], serves: Aid['serves']): FoundAid | null {
  const own = aids.filter((aid) => aid.serves === serves && !aid.retiredOn);
  const best = own.find((aid) => aid.wear === 'sound') ?? own.find(usable);
  if (best) return { aid: best, instead: null };
  for (const spent of own) {
    for (const id of spent.substitutes) {
      const other = aids.find((aid) => aid.id === id);
      if (other && usable(other)) return { aid: other, instead: spent };
    }
  }
  return null;
}
