/** Rules of hard blanks: what they are made of, which side, how they bear heat. */
import { testPieceHeld } from '../../materials';
import { phrase } from '../../units';
import { type Rule, when } from './rule';

export const HARD_RULES: readonly Rule[] = [
  {
    id: 'extruded-acrylic-warps',
    field: 'art',
    level: 'hold',
    evaluate: ({ fabric }) =>
      when(
        fabric.acrylic === 'extruded',
        () => phrase`${fabric.name} warps under the press. Cast acrylic stands it: ask the supplier for cast.`,
      ),
  },
  {
    id: 'clear-plastic-unknown',
    field: 'art',
    level: 'hold',
    evaluate: ({ fabric, blank, product }) =>
      when(
        fabric.acrylic === 'unknown' && !testPieceHeld(blank, product.id),
        () =>
          phrase`Nobody has said whether ${fabric.name} is cast. Other clear plastics warp: ask the supplier, or press one as a test and note how it came out.`,
      ),
  },
  {
    id: 'seen-through-wants-clear',
    field: 'mirror',
    level: 'hold',
    evaluate: ({ blank, fabric }) =>
      when(
        blank.lookedAt === 'through the blank' && !fabric.clear,
        () =>
          phrase`${blank.name} is meant to be looked at through itself, and ${fabric.name} is not clear. Correct the side it is looked at from.`,
      ),
  },
  {
    id: 'hole-in-the-print',
    field: 'art',
    level: 'care',
    evaluate: ({ blank, print, fabric }) =>
      when(
        (fabric.substrate === 'glass' || fabric.substrate === 'mirror') &&
          blank.obstructions.some((obstruction) => obstruction.kind === 'hanging hole' && obstruction.at.includes(print.position)),
        () => phrase`The hanging hole lies in the print: the sheet bridges it and tears as it is peeled. Cut the sheet out round it first.`,
      ),
  },
];
