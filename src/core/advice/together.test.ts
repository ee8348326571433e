/** What can be pressed in one run with what: the press is set alike for both, and the other's own lamp says so. */
import { describe, expect, it } from 'vitest';
import { type Case, inputOf } from '../../../test/trade/check';
import { resolve } from '../card';
import { cardTogether } from './together';

const input = (change: Partial<Case> = {}) =>
  inputOf({ says: 'a tee', on: 'cotton-tee', with: 'two-sheet-toner', item: { size: 'M' }, print: { position: 'full front' }, ...change });
const first = resolve(input());
const together = (change: Partial<Case>) => cardTogether(first, input(change));

describe('prints pressed in one run', () => {
  it('another size and another art are: nothing at the press changes', () => {
    const card = together({ item: { size: '2XL' }, print: { position: 'full front', artName: 'moon' } });
    expect(card?.of.artName).toBe('moon');
    expect(card?.set.byHand).toBe(false);
  });

  it('one that wants a little more heat of its own is judged at the heat of the first', () => {
    const setC = first.set.tempC + 2;
    const own = resolve(input({ choices: { setC } }));
    expect(own.set.tempC).toBeCloseTo(setC, 1);
    const card = together({ choices: { setC } });
    expect(card?.set.tempC).toBe(first.set.tempC);
    expect(card?.stages.filter(({ by }) => by === 'press').map(({ setC }) => setC)).toEqual(
      first.stages.filter(({ by }) => by === 'press').map(({ setC }) => setC),
    );
  });

  it.each([
    ['another transfer', { with: 'cut-film' }],
    ['another press', { press: 'clamshell' }],
    ['a pillow under it', { choices: { base: 'pillow' }, print: { position: 'full front', artName: 'x' } }],
    ['two a closing', { item: { size: 'M', perClosing: 2 } }],
    ['a cloth that is on Hold', { on: 'nylon-jacket' }],
  ] as [string, Partial<Case>][])('%s is not', (_, change) => expect(together(change)).toBeNull());
});
