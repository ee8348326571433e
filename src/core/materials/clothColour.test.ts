import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clothColour, isDarkColour } from './clothColour';

const hueOf = (hex: string) => {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));
  return { r, g, b };
};

describe('the colour of cloth', () => {
  it('is the last colour its name has, turned by the words beside it', () => {
    expect(hueOf(clothColour('signal red', 'dark') ?? '').r).toBeGreaterThan(150);
    const [plain, dark, pale] = ['blue', 'night blue', 'pale blue'].map((name) => hueOf(clothColour(name, 'dark') ?? ''));
    expect(dark?.b).toBeLessThan(plain?.b ?? 0);
    expect(pale?.r).toBeGreaterThan(plain?.r ?? 0);
    expect(clothColour('Slate cloth', 'dark')).toBe(clothColour('slate', 'light'));
  });

  it('is as light or dark as the blank where the name says nothing, and none where it is clear', () => {
    expect(isDarkColour(clothColour('any dark', 'dark') ?? '')).toBe(true);
    expect(isDarkColour(clothColour('team no. 3', 'light') ?? '#000000')).toBe(false);
    expect(clothColour('clear', 'light')).toBeNull();
  });

  it('of whatever words is one that can be drawn', () => {
    fc.assert(
      fc.property(fc.string(), fc.constantFrom('light' as const, 'dark' as const), (words, shade) => {
        const colour = clothColour(words, shade);
        expect(colour === null || /^#[0-9a-f]{6}$/.test(colour)).toBe(true);
      }),
    );
  });
});
