/** Tested settings: what speaks against keeping one, and the matrix of the shop's own transfers on its own fabrics. */
import { type Matrix, matrixOf } from '../../core/advice';
import { testedFaults } from '../../core/draft';
import type { Tested } from '../../core/sheet';
import { phraseText } from '../../core/units';
import { notFound, Refusal } from '../refusal';
import { readFacts } from './cards';
import { readHouse } from './house';
import { type Db, perShop } from './perShop';
import { markOf, whileSame } from './revisions';

/** What speaks against keeping a test, field by field. */
export function testFaults(db: Db, tested: Tested): { field: string; message: string }[] {
  const { units } = readHouse(db).doc;
  return testedFaults(tested, readFacts(db)).map(({ field, says }) => ({ field, message: phraseText(says, units) }));
}

/** @throws {Refusal} 422 it names what is not there or retired, or lies outside its sheet without that being said */
export function mustBeTestable(db: Db, tested: Tested): void {
  const faults = testFaults(db, tested);
  const [first] = faults;
  if (first) throw new Refusal('not valid', 'Not valid', first.message, faults);
}

const matrixBefore = perShop(() => new Map<string, { mark: string; value: Matrix }>());

/**
 * Transfers on fabrics as the shop stands today; what was looked at is printed without being judged again.
 *
 * @throws {Refusal} 404 a press that is not there
 */
export function matrixFor(db: Db, pressId: string): Matrix {
  const facts = readFacts(db);
  const press = facts.presses.find((press) => press.id === pressId);
  if (!press) throw notFound('press', pressId);
  const mark = `${facts.today} ${markOf(db, 'shelf', 'presses', 'house', 'log')}`;
  return whileSame(db, matrixBefore(db), pressId, mark, () => matrixOf(press, facts));
}
