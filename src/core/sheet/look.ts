/** Look: what kind of thing a transfer leaves on a piece, so that another is offered by how alike its result is. */
import type { FamilyId } from './family';
import type { ArtKind } from './traits';

/** As a customer would tell them apart by eye and hand. */
type Look = 'flat film' | 'printed' | 'raised' | 'textured' | 'in the cloth' | 'stones' | 'patch';

const LOOKS: Record<FamilyId, Look> = {
  'cut-film': 'flat film',
  'stretch-film': 'flat film',
  'coated-fabric-film': 'flat film',
  'raised-film': 'raised',
  'high-build-film': 'raised',
  'textured-film': 'textured',
  'print-and-cut-film': 'printed',
  'one-sheet-laser-paper': 'printed',
  'two-sheet-toner': 'printed',
  'two-sheet-colour': 'flat film',
  'opaque-inkjet-paper': 'printed',
  'hard-paper-porous': 'printed',
  'hard-paper-smooth': 'printed',
  'dye-paper': 'in the cloth',
  'screen-printed': 'printed',
  'low-cure-screen-printed': 'printed',
  'raised-screen-printed': 'raised',
  'film-printed': 'printed',
  stones: 'stones',
  'heat-glued-patch': 'patch',
};

/** Looks that lie flat on a piece, or in it. */
const FLAT: readonly Look[] = ['flat film', 'printed', 'in the cloth'];

interface Shown {
  familyId: FamilyId;
  artKinds: readonly ArtKind[];
}

/**
 * How far the result of another transfer is from the one that was meant, for an art: 0 the same kind of thing, 1 another as flat or
 * as raised, 2 another body, 3 it does not do such art at all.
 */
export function unlike(meant: Shown, other: Shown, artKind: ArtKind): 0 | 1 | 2 | 3 {
  if (!other.artKinds.includes(artKind)) return 3;
  const [a, b] = [LOOKS[meant.familyId], LOOKS[other.familyId]];
  if (a === b) return 0;
  return FLAT.includes(a) && FLAT.includes(b) ? 1 : 2;
}

/** Whether a transfer gives such art the body it is thought of with: flat, unless it is to stand up. */
export const isAsMeant = ({ familyId }: Pick<Shown, 'familyId'>, artKind: ArtKind): boolean =>
  artKind === 'raised' ? !FLAT.includes(LOOKS[familyId]) : artKind === 'metallic' || FLAT.includes(LOOKS[familyId]);
