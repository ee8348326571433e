/** What a blank's colour looks like, from its name: for small pictures of a piece, never for judging. */

const COLOURS: Record<string, string> = {
  white: '#fbfaf7',
  natural: '#efe6d2',
  undyed: '#d8b98f',
  cream: '#f4ecd8',
  ivory: '#f5efdf',
  oat: '#dccfb6',
  sand: '#d9c7a3',
  beige: '#d8c5a4',
  tan: '#bf9a6b',
  camel: '#b58c5a',
  khaki: '#a99a72',
  wood: '#c9a878',
  cork: '#c49a6c',
  kraft: '#b98f62',
  brown: '#6b4630',
  chocolate: '#4d3226',
  black: '#1d1d1f',
  charcoal: '#3f4144',
  graphite: '#4a4c50',
  slate: '#5b6670',
  grey: '#9a9c9e',
  gray: '#9a9c9e',
  ash: '#cfd0cf',
  silver: '#c3c6c9',
  dusk: '#7f7f93',
  navy: '#1f2c4d',
  blue: '#2f5fa8',
  royal: '#2849a4',
  sky: '#a5cde8',
  aqua: '#7ccfd1',
  turquoise: '#2fa9ad',
  teal: '#1f6f70',
  denim: '#48607f',
  indigo: '#39406f',
  purple: '#5f3a83',
  violet: '#6b4a9c',
  lilac: '#b9a5d3',
  lavender: '#c3b6df',
  pink: '#efa5bd',
  rose: '#d98a9c',
  coral: '#f08673',
  red: '#c22b32',
  maroon: '#5f1f2a',
  burgundy: '#641f33',
  wine: '#6a2438',
  rust: '#9c4a2a',
  orange: '#ea7a2b',
  gold: '#d9a63a',
  mustard: '#c99a2e',
  yellow: '#f3d24c',
  lime: '#a9cf45',
  green: '#2f7a48',
  mint: '#b5dfc6',
  moss: '#6a7442',
  olive: '#68663a',
  sage: '#a7b295',
  forest: '#234a34',
};

/** Words that change a colour: towards what, and how far. */
const TURNS: Record<string, readonly [towards: string, share: number]> = {
  light: ['#ffffff', 0.45],
  pale: ['#ffffff', 0.45],
  dark: ['#000000', 0.4],
  deep: ['#000000', 0.3],
  night: ['#000000', 0.45],
  heather: ['#b9babb', 0.35],
  washed: ['#d9d9d6', 0.35],
  neon: ['#eaff4a', 0.25],
};

const channels = (hex: string): number[] => [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16));
const mixed = (hex: string, towards: string, share: number): string => {
  const to = channels(towards);
  return `#${channels(hex)
    .map((value, i) =>
      Math.round(value + ((to[i] ?? value) - value) * share)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
};

const CLEAR = /\b(clear|transparent|see-through)\b/i;
const UNNAMED = { light: '#ece9e2', dark: '#4c4d52' } as const;

/**
 * A colour to draw cloth in.
 *
 * @param colour as the blank has it, in words: `dark heather blue`
 * @returns `#rrggbb`; of words that name no colour one that is as light or dark as the blank; null: it is clear
 */
export function clothColour(colour: string, shade: 'light' | 'dark'): string | null {
  if (CLEAR.test(colour)) return null;
  const words = colour.toLowerCase().match(/\p{L}+/gu) ?? [];
  // of several the last is the colour and the others say which: “slate blue” is a blue, “moss cloth” a moss
  const base = words.map((word) => COLOURS[word]).findLast((known) => known !== undefined);
  if (!base) return UNNAMED[shade];
  return words.reduce((hex, word) => {
    const turn = TURNS[word];
    return turn ? mixed(hex, ...turn) : hex;
  }, base);
}

/** Whether something light stands out on it: by the luminance of sRGB. */
export function isDarkColour(hex: string): boolean {
  const [r = 0, g = 0, b = 0] = channels(hex).map((value) => {
    const share = value / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b < 0.2;
}
