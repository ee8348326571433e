/** What can be wrong with a piece, by what was lost and by the family of its transfer: the words a verdict is chosen from, and what the first piece is looked over for. */
import type { FamilyId } from '../sheet';
import type { Lost, SpoilReason } from './choices';

/** What a kind of transfer shows beside what any may show, the likeliest first. */
const OF_FAMILY: Record<FamilyId, readonly SpoilReason[]> = {
  'cut-film': ['edge lifted', 'gap between layers'],
  'stretch-film': ['edge lifted', 'gap between layers'],
  'coated-fabric-film': ['edge lifted', 'gap between layers'],
  'raised-film': ['pressed flat', 'edge lifted'],
  'high-build-film': ['edge lifted', 'gap between layers'],
  'textured-film': ['edge lifted', 'gap between layers'],
  'print-and-cut-film': ['edge lifted', 'voids in the print'],
  'one-sheet-laser-paper': ['carrier torn', 'voids in the print', 'not matte all over'],
  'two-sheet-toner': ['voids in the print', 'edge lifted', 'not matte all over'],
  'two-sheet-colour': ['voids in the print', 'small shapes filled in', 'edge lifted', 'not matte all over'],
  'opaque-inkjet-paper': ['edge lifted', 'voids in the print'],
  'hard-paper-porous': ['voids in the print', 'carrier torn', 'tape mark'],
  'hard-paper-smooth': ['voids in the print', 'edge lifted', 'tape mark'],
  'dye-paper': ['voids in the print', 'tape mark'],
  'screen-printed': ['edge lifted', 'small shapes filled in', 'voids in the print'],
  'low-cure-screen-printed': ['edge lifted', 'small shapes filled in', 'voids in the print'],
  'raised-screen-printed': ['pressed flat', 'edge lifted'],
  'film-printed': ['edge lifted', 'voids in the print', 'not matte all over'],
  stones: ['stones missing', 'edge lifted'],
  'heat-glued-patch': ['edge lifted', 'tape mark'],
};

/** What may be wrong whatever is pressed, by what is lost. */
const OF_LOSS: Record<Lost, readonly SpoilReason[]> = {
  sheet: ['carrier torn', 'voids in the print', 'small shapes filled in', 'scorched', 'fault in the transfer'],
  transfer: ['crooked or misplaced', 'carrier torn', 'fault in the transfer'],
  blank: ['scorched', 'shine or press mark', 'fault in the blank'],
  piece: [
    'crooked or misplaced',
    'would not peel clean',
    'shine or press mark',
    'scorched',
    'ink spread or sunk',
    'fault in the blank',
    'fault in the transfer',
  ],
};

interface Pressed {
  familyId?: FamilyId | undefined;
  layers?: readonly unknown[];
}

/** What the first piece of a transfer is looked over for; a print of one layer has no gap between layers. */
export const looksFor = ({ familyId, layers = [] }: Pressed): readonly SpoilReason[] =>
  (familyId ? OF_FAMILY[familyId] : []).filter((reason) => reason !== 'gap between layers' || layers.length > 1);

/** The words a verdict is chosen from. @param lost what the slip cost */
export function reasonsFor(of: Pressed, lost: Lost): SpoilReason[] {
  const own = lost === 'piece' ? looksFor(of) : [];
  return [...new Set([...OF_LOSS[lost], ...own, 'something else' as const])];
}

/** What heat, time or pressure have a hand in; a piece laid crooked says nothing against its setting. */
const OF_THE_HEAT: ReadonlySet<SpoilReason> = new Set([
  'would not peel clean',
  'shine or press mark',
  'scorched',
  'ink spread or sunk',
  'edge lifted',
  'small shapes filled in',
  'pressed flat',
]);
export const isOfTheHeat = (reason: SpoilReason | null): boolean => reason !== null && OF_THE_HEAT.has(reason);
