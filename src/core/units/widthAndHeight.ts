/** The two sides of anything flat, in the order they are typed. */
export const WIDTH_AND_HEIGHT = ['widthMm', 'heightMm'] as const;
