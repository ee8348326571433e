/** How long it takes to place a print and find its lay, and whether a drag keeps up. One line a figure. */

import { type Blank, BUILT_IN_BLANKS, type Position } from '../src/core/materials';
import { bestFit, fillClosing, fitAt, place, splitRun, threadedBetween } from '../src/core/placement';

const blank = (id: string) => BUILT_IN_BLANKS.find((blank) => blank.id === id) as Blank;
const CASES: [string, Position, number, number][] = [
  ['cotton-tee', 'full front', 254, 203],
  ['nylon-jacket', 'left chest', 89, 89],
  ['fleece-hoodie', 'left chest', 89, 89],
  ['canvas-tote', 'tote front', 229, 229],
];
const PLATEN = { widthMm: 406, heightMm: 508 };

function askFor(id: string, position: Position, widthMm: number, heightMm: number, shift: number) {
  const piece = blank(id);
  const placement = place({
    blank: piece,
    size: piece.sizes[2] ?? piece.sizes[0] ?? '',
    position,
    art: { widthMm, heightMm },
    moved: { xMm: shift, yMm: 0 },
    crossesSeam: false,
    tallRule: true,
    tapeStepMm: 5,
  });
  return {
    art: placement.box,
    features: placement.features,
    heated: PLATEN,
    base: PLATEN,
    threadedBetween: threadedBetween(placement.measures, placement.panel),
    under: { sinksMm: 0 },
    bridges: false,
    keepOff: [],
  };
}

function median(times: number[]): number {
  const sorted = [...times].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}
function timed(work: () => void, n: number): number {
  for (let i = 0; i < 10; i++) work();
  return median(
    Array.from({ length: n }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    }),
  );
}

for (const [id, position, w, h] of CASES) {
  let shift = 0;
  const solve = timed(() => {
    shift += 0.1;
    bestFit(askFor(id, position, w, h, (shift % 10) - 5));
  }, 100);
  const entry = askFor(id, position, w, h, 0);
  const at = timed(() => void fitAt(entry, { xMm: 3, yMm: -40, turn: 0 }), 200);
  console.log(`${id}, ${position}: place and best lay ${solve.toFixed(2)} ms (20 wanted), one lay judged ${at.toFixed(3)} ms`);
}
const sizes = ['YS', 'YM', 'YL', 'S', 'M', 'L', 'XL', '2XL', '3XL', '4XL'].map((size, i) => ({
  size,
  chestMm: 390 + 42 * i,
  pieces: 3 + i,
}));
console.log(`ten sizes split: ${timed(() => void splitRun(sizes, { min: 0.42, max: 0.6 }, 400, 5), 50).toFixed(2)} ms`);
console.log(
  `tags on a platen: ${timed(() => void fillClosing({ widthMm: 386, heightMm: 488 }, { widthMm: 90, heightMm: 50, round: false }, 6), 10).toFixed(1)} ms`,
);
