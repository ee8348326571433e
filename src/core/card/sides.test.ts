/** Sleeves and legs: a piece has two of each, and the hands are told which. */
import { describe, expect, it } from 'vitest';
import { inputOf } from '../../../test/trade/check';
import { LineSchema, type Print } from '../order';
import { phraseText } from '../units';
import { resolve } from './resolve';

const HOUSE = { temperature: 'C', length: 'mm', contactPressure: 'kPa', linePressure: 'bar' } as const;
const sleeve = (side?: 'left' | 'right'): Print =>
  inputOf({
    says: 'a sleeve',
    on: 'cotton-tee',
    with: 'cut-film',
    item: { size: 'M' },
    print: { position: 'sleeve', ...(side && { side }) },
  }).print;

/** What is wrong with a line of these prints. */
function faults(...prints: Print[]): string[] {
  const line = { id: 'line-a', blankId: 'blank-a', size: 'M', count: 2, roster: [], perClosing: 1 };
  const read = LineSchema.safeParse({ ...line, prints: prints.map((print, i) => ({ ...print, key: 'abc'[i] })) });
  return read.success ? [] : read.error.issues.map(({ message }) => message);
}

describe('left and right', () => {
  it('both sleeves can be printed, each once, as long as it is said which is which', () => {
    expect(faults(sleeve('left'), sleeve('right'))).toEqual([]);
    expect(faults(sleeve())).toEqual([]);
    expect(faults(sleeve('left'), sleeve('left'))).toEqual(['Two prints are meant for the left sleeve. Say left or right for each.']);
    expect(faults(sleeve('left'), sleeve())).toEqual(['Two prints are meant for the sleeve. Say left or right for each.']);
  });

  it('the card and its place step say which; a side of what is there once is nobody’s business', () => {
    const card = resolve({
      ...inputOf({ says: 'a sleeve', on: 'cotton-tee', with: 'cut-film', item: { size: 'M' } }),
      print: sleeve('right'),
    });
    expect(card.of).toMatchObject({ position: 'right sleeve', side: 'right' });
    expect(card.steps.filter(({ at }) => at === 'place').map(({ says }) => phraseText(says, HOUSE))[0]).toMatch(/on the right sleeve/);
    const chest = resolve({
      ...inputOf({ says: 'a chest', on: 'cotton-tee', with: 'cut-film', item: { size: 'M' } }),
      print: { ...sleeve('right'), position: 'left chest' },
    });
    expect(chest.of.position).toBe('left chest');
    expect(chest.of).not.toHaveProperty('side');
  });
});
