/** Every built-in family by its id. */
import type { Family, FamilyId } from '../family';
import { BOUGHT } from './bought';
import { FILMS } from './films';
import { PAPERS } from './papers';

export const FAMILIES = Object.fromEntries([...FILMS, ...PAPERS, ...BOUGHT].map((family) => [family.id, family])) as Record<
  FamilyId,
  Family
>;
