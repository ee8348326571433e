/** What every step of the first hour is given, and what it can say. */
import type { Reply } from '../../contract';
import type { House } from '../../core/house';

export interface Doing {
  shop: Reply<'firstHour'>;
  house: House;
  /** It is done, with what of the house it changed. */
  onDone: (change?: Partial<House>) => Promise<boolean>;
  /** What it brings stands in the shop already: on to the next. */
  onNext: () => void;
}
