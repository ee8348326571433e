/** From one pressing to the next at the same press: what the hands set otherwise. */

import { type Card, letteringOf, letteringWords, pressureWords } from '../card';
import { COVER_SHEETS } from '../heat';
import { mm, type Phrase, phrase, seconds, setTemp } from '../units';

type Set = Card['set'];
interface Difference {
  differs: (a: Card, b: Card) => boolean;
  says: (next: Card) => Phrase;
  /** It is of the piece and its transfer, not of the press. */
  isOfPiece?: true;
}

const other = (of: (set: Set) => unknown) => (a: Card, b: Card) => JSON.stringify(of(a.set)) !== JSON.stringify(of(b.set));
const closings = ({ stages }: Card) => stages.flatMap(({ by, kind, setC, timeS }) => (by === 'press' ? [{ kind, setC, timeS }] : []));

/** Where the art goes on the piece, as the card’s step has it. */
const placed = ({ steps }: Card): Phrase => steps.find(({ at }) => at === 'place')?.says ?? [];

const CHANGES: readonly Difference[] = [
  { differs: (a, b) => a.of.pressId !== b.of.pressId, says: ({ of }) => phrase`Go over to ${of.pressName}.` },
  {
    differs: (a, b) => a.of.pressId !== b.of.pressId || Math.abs(a.set.tempC - b.set.tempC) > 0.05,
    says: ({ set, window }) => phrase`Set it to ${setTemp(set.tempC, window.settable.unit)}.`,
  },
  { differs: other(({ timeS }) => timeS), says: ({ set }) => phrase`Press ${seconds(set.timeS)}.` },
  {
    differs: (a, b) => JSON.stringify(closings(a).map(({ kind }) => kind)) !== JSON.stringify(closings(b).map(({ kind }) => kind)),
    says: (card) =>
      phrase`It is closed for: ${closings(card)
        .map(({ kind }) => kind)
        .join(', ')}.`,
  },
  {
    differs: other(({ pressure }) => [pressure.band, pressure.setting]),
    says: ({ of, set }) => phrase`Pressure: ${pressureWords(of.pressName, set.pressure)}.`,
  },
  { differs: other(({ peel }) => peel), says: ({ set }) => phrase`Peel: ${set.peel}.` },
  {
    differs: other(({ cover }) => cover),
    says: ({ set }) => (set.cover ? phrase`Cover: ${COVER_SHEETS[set.cover].name}.` : phrase`No cover.`),
  },
  {
    differs: other(({ base, pad, platen }) => [base, pad, platen]),
    says: ({ set }) => phrase`Base: ${set.base}${set.pad === 'none' ? '' : `, ${set.pad}`}; platen: ${set.platen ?? 'the usual one'}.`,
  },
  {
    isOfPiece: true,
    differs: (a, b) =>
      JSON.stringify(letteringOf(a).map(({ mirror }) => mirror)) !== JSON.stringify(letteringOf(b).map(({ mirror }) => mirror)),
    says: (card) => phrase`Lettering: ${letteringWords(letteringOf(card))}`,
  },
  {
    isOfPiece: true,
    differs: (a, b) => a.of.productId !== b.of.productId || a.of.artName !== b.of.artName,
    says: ({ of }) => phrase`Transfer: ${of.artName}, ${of.productName}.`,
  },
  { isOfPiece: true, differs: (a, b) => a.of.widthMm !== b.of.widthMm, says: ({ of }) => phrase`Art ${mm(of.widthMm)} wide.` },
  { isOfPiece: true, differs: (a, b) => JSON.stringify(placed(a)) !== JSON.stringify(placed(b)), says: placed },
];

/** What is different for the next card, as the hands set it; empty: only the piece is. */
export const changesBetween = (done: Card, next: Card): Phrase[] =>
  CHANGES.filter(({ differs }) => differs(done, next)).map(({ says }) => says(next));

/** What is set otherwise at the press alone; empty: pieces of both can be pressed one after the other in one run. */
export const pressChanges = (done: Card, next: Card): Phrase[] =>
  CHANGES.filter(({ isOfPiece, differs }) => !isOfPiece && differs(done, next)).map(({ says }) => says(next));
