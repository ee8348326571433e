/** From one pressing to the next: every thing the hands must set otherwise is told, and nothing else. */
import { describe, expect, it } from 'vitest';
import { type Case, inputOf } from '../../../test/trade/check';
import { resolve } from '../card';
import { STARTING_HOUSE } from '../house';
import { phraseText } from '../units';
import { changesBetween } from './between';

const card = (change: Partial<Case> = {}) =>
  resolve(
    inputOf({ says: 'a tee', on: 'cotton-tee', with: 'cut-film', item: { size: 'M' }, print: { position: 'full front' }, ...change }),
  );
const told = (next: Partial<Case>, done: Partial<Case> = {}) =>
  changesBetween(card(done), card(next)).map((words) => phraseText(words, STARTING_HOUSE.units).replaceAll('\u00a0', ' '));

describe('from one print to the next', () => {
  it('the same once more changes nothing', () => expect(told({})).toEqual([]));

  it('another size tells only where the art goes, if that is elsewhere', () => {
    const [where, ...rest] = told({ item: { size: '2XL' } });
    expect(rest).toEqual([]);
    expect(where).toMatch(/below the/);
  });

  it.each([
    ['a set value by hand', { choices: { setC: 150 } }, /^Set it to 150 °C\.$/],
    ['a time', { choices: { timeS: 15 } }, /^Press 15 s\.$/],
    ['a cover', { choices: { cover: true, timeS: 12 } }, /^Cover: .*PTFE/],
    ['a pillow', { choices: { base: 'pillow', timeS: 12 } }, /^Base: pillow; platen: the usual one\.$/],
    ['the small platen', { choices: { platenId: 'small' }, print: { position: 'full front', widthMm: 80 } }, /platen: small platen\.$/],
    ['art of another size', { print: { position: 'full front', widthMm: 90 } }, /^Art 90 mm wide\.$/],
    ['another art', { print: { position: 'full front', artName: 'moon' } }, /^Transfer: moon, /],
  ] as [string, Partial<Case>, RegExp][])('%s', (_, change, words) => {
    expect(told(change).filter((word) => words.test(word))).toHaveLength(1);
  });

  it('another transfer tells all that goes with it; another press is gone to and set', () => {
    const toner = told({ with: 'two-sheet-toner' });
    expect(toner.some((words) => /^It is closed for: .*marry/.test(words))).toBe(true);
    expect(toner.some((words) => /^Transfer: /.test(words))).toBe(true);
    expect(told({ press: 'clamshell' }).slice(0, 2)).toEqual(['Go over to a clamshell.', expect.stringMatching(/^Set it to /)]);
  });
});
