/** The house's units for a page that is served: what is typed in its first moment is read in them, before anything is fetched. */
import type { HouseUnits } from '../../core/units';
import { log } from '../log';
import { shop } from '../shop';
import { readHouse } from '../stores/house';

/** Null: this address is no page, or the house cannot be read; the page then says so by what it fetches. */
export function pageUnits({ pathname }: URL): HouseUnits | null {
  if (pathname.startsWith('/api/')) return null;
  try {
    return readHouse(shop().db).doc.units;
  } catch (error) {
    log.error({ error, pathname }, 'the house could not be read for a page');
    return null;
  }
}
