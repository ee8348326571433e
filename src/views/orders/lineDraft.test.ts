import { describe, expect, it } from 'vitest';
import { PRESSES } from '../../../test/trade/check';
import { type Blank, BUILT_IN_BLANKS } from '../../core/materials';
import { LineSchema } from '../../core/order';
import {
  draftFrom,
  faultsOf,
  type LineDraft,
  lineOf,
  pressFor,
  withBefore,
  withBlank,
  withLayer,
  withoutPrint,
  withPrint,
} from './lineDraft';

const blank = (id: string) => BUILT_IN_BLANKS.find((blank) => blank.id === id) as Blank;
const presses = [PRESSES.cap, PRESSES.unmeasured, PRESSES.true, PRESSES.iron];
/** A draft with everything said. */
function full(): LineDraft {
  const draft = withBlank({ ...draftFrom(undefined, true), count: '12' }, blank('cotton-tee'));
  const [print] = draft.prints;
  if (!print) throw new Error('a draft begins with one print');
  return {
    ...draft,
    size: 'M',
    prints: [{ ...print, artName: ' owl ', widthMm: 200, heightMm: 180, layers: [{ key: 'a', productId: 'wren', colour: '' }] }],
  };
}

describe('a line while it is typed in', () => {
  it('says of every empty field what it wants, by the field', () => {
    expect(Object.keys(faultsOf(draftFrom(undefined, true))).sort()).toEqual([
      'blankId',
      'count',
      'prints.0.artName',
      'prints.0.heightMm',
      'prints.0.layers.0',
      'prints.0.widthMm',
      'size',
    ]);
    expect(faultsOf(full())).toEqual({});
    expect(faultsOf({ ...full(), count: '0' }).count).toMatch(/1 to 1000/);
    expect(faultsOf({ ...full(), perClosing: 'many' }).perClosing).toMatch(/whole number/);
  });
  it('complete, it is a line the server takes, on the press that suits the blank', () => {
    const line = lineOf(full(), presses, blank('cotton-tee'));
    expect(LineSchema.parse(line)).toEqual(line);
    expect(line.prints).toMatchObject([{ artName: 'owl', pressId: 'true', layers: [{ productId: 'wren', over: [] }] }]);
  });
  it('a layer more lies over the one before, a print more has a key of its own', () => {
    const [print] = full().prints;
    if (!print) throw new Error('there is one');
    const two = { ...full(), prints: [withLayer(withLayer(print))] };
    expect(lineOf(two, presses, blank('cotton-tee')).prints[0]?.layers.map((layer) => [layer.key, ...layer.over])).toEqual([
      ['a'],
      ['b', 'a'],
      ['c', 'b'],
    ]);
    const prints = withPrint(withPrint(full())).prints.map((print) => print.key);
    expect(new Set(prints).size).toBe(3);
  });
  it('a blank with one size has it; one with a usual place of its own moves the print there', () => {
    const tote = withBlank(full(), blank('canvas-tote'));
    expect([tote.size, tote.prints[0]?.position]).toEqual(['one size', 'tote front']);
    expect(withBlank(full(), blank('fleece-hoodie')).prints[0]?.position).toBe('full front');
  });
  it('a cap goes on the cap press, a tee on the measured one, an iron comes last', () => {
    const [print] = full().prints;
    if (!print) throw new Error('there is one');
    expect(pressFor(print, presses, blank('canvas-cap'))).toBe('cap');
    expect(pressFor(print, presses, blank('cotton-tee'))).toBe('true');
    expect(pressFor(print, [PRESSES.iron, PRESSES.unmeasured], blank('cotton-tee'))).toBe('unmeasured');
    expect(pressFor({ ...print, pressId: 'iron' }, presses, blank('cotton-tee'))).toBe('iron');
  });
  it('the next line starts from the one before, without its count, size, roster and choices', () => {
    const line = { ...lineOf(full(), presses, blank('cotton-tee')), roster: [{ number: '7', name: '' }], count: 1 };
    const chosen = { ...line, prints: line.prints.map((print) => ({ ...print, choices: { timeS: 9 } })) };
    expect(draftFrom(chosen, true)).toMatchObject({
      count: '',
      size: '',
      roster: [],
      blankId: 'cotton-tee',
      prints: [{ artName: 'owl', choices: {} }],
    });
    expect(draftFrom(chosen, false)).toMatchObject({
      id: line.id,
      count: '1',
      size: 'M',
      roster: [{ number: '7' }],
      prints: [{ choices: { timeS: 9 } }],
    });
  });

  it('a second design is laid beside the first on the same press and transfer; without the first it is a print of its own', () => {
    const two = withPrint(full());
    const [moon, owl] = two.prints;
    if (!moon || !owl) throw new Error('two prints');
    const beside = withBefore({ ...owl, artName: 'owl', widthMm: 100, heightMm: 50 }, { ...moon, moved: { xMm: -60, yMm: 5 } }, true);
    expect(beside).toMatchObject({ withBefore: true, position: moon.position, layers: moon.layers, moved: { xMm: 100, yMm: 5 } });
    const draft = { ...two, prints: [{ ...moon, moved: { xMm: -60, yMm: 5 } }, beside, { ...beside, key: 'c' }] };
    const left = withoutPrint(draft, 0).prints;
    expect(left.map((print) => print.withBefore)).toEqual([undefined, true]);
    expect(withoutPrint(draft, 1).prints.map((print) => print.withBefore)).toEqual([undefined, true]);
    expect(withBefore(beside, moon, false)).not.toHaveProperty('withBefore');
  });
});
