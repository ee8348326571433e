/** Which piece is in hand, and how many are good, again, spoiled, left. */
import type { Counts } from '../../core/run';

export function CountsLine({ counts, piece, pieces, done }: { counts: Counts; piece: number; pieces: number; done: boolean }) {
  const count = (n: number, word: string) => (
    <span>
      <span className="figure font-semibold text-white">{n}</span> {word}
    </span>
  );
  return (
    <span className="flex gap-5 text-lg" role="status">
      {!done && (
        <span>
          piece <span className="figure font-semibold text-white">{piece}</span> of <span className="figure">{pieces}</span>
        </span>
      )}
      {count(counts.good, 'good')}
      {count(counts.again, 'again')}
      {count(counts.spoiled, 'spoiled')}
      {count(counts.left, 'left')}
    </span>
  );
}
