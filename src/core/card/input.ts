/** All that a card is worked out from. */
import type { Blank, Fabric, Product } from '../materials';
import type { Press } from '../press';
import type { House } from './house';
import type { Print } from './order';

export interface ResolveInput {
  print: Print;
  item: { size: string };
  blank: Blank;
  fabric: Fabric;
  product: Product;
  press: Press;
  house: House;
}
