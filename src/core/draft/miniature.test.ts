import { describe, expect, it } from 'vitest';
import { inputOf } from '../../../test/trade/check';
import type { Line } from '../order';
import { miniatureOf, miniatureSvg } from './miniature';

const picture = (change: Partial<Parameters<typeof inputOf>[0]> = {}) => {
  const { print, item, blank, house } = inputOf({ says: 'a piece', on: 'cotton-tee', with: 'cut-film', item: { size: 'M' }, ...change });
  const line = (prints: Line['prints']) => ({ ...item, prints });
  return { of: (prints = [print]) => miniatureOf(line(prints), blank, house), print };
};
/** Figures of a picture's attributes. */
const numbers = (svg: string, pattern: RegExp) => [...svg.matchAll(pattern)].flatMap(([, text = '']) => text.split(/[ L]/).map(Number));

describe('a piece in small', () => {
  it('has its printed side with sleeves, and the prints of that side alone', () => {
    const { of, print } = picture();
    const back = { ...print, key: 'b', position: 'full back' as const };
    const chest = { ...print, key: 'c', position: 'left chest' as const, widthMm: 80, heightMm: 80 };
    const front = of([print, chest, back]);
    expect([front?.panel, front?.outlines.length, front?.prints.length]).toEqual(['front', 3, 2]);
    expect(of([back, print])?.panel).toBe('back');
  });

  it('stays within its picture at any size, and its print within the piece', () => {
    for (const size of ['XS', 'M', '3XL']) {
      const mini = picture({ item: { size } }).of();
      if (!mini) throw new Error(`no picture of ${size}`);
      const svg = miniatureSvg(mini);
      const ends = numbers(svg, /d="M([^Z]*)Z"/g);
      expect(Math.min(...ends)).toBeGreaterThanOrEqual(0);
      expect(Math.max(...ends)).toBeLessThanOrEqual(48);
      const [x = -1] = numbers(svg, /<rect x="([^"]*)"/g);
      const [width = -1] = numbers(svg, /<rect [^>]*width="([^"]*)"/g);
      // in the middle of the picture, as the print is in the middle of the piece
      expect(x + width / 2).toBeCloseTo(24, 0);
    }
  });

  it('is none of a line that has no print, or of a place the blank has not', () => {
    const { of, print } = picture();
    expect(of([])).toBeNull();
    expect(of([{ ...print, position: 'cap front' }])).toBeNull();
  });

  it('of clear things is drawn in a dashed line without a colour', () => {
    const { of } = picture({ blank: { colour: 'clear' } });
    const mini = of();
    expect(mini?.colour).toBeNull();
    expect(mini && miniatureSvg(mini)).toMatch(/fill="none" [^>]*stroke-dasharray/);
  });
});
