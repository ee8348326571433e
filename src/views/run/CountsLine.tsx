/** How many are good, again, spoiled, left, and whether transfers are left over. */
import type { Counts } from '../../core/run';

export function CountsLine({ counts, spares }: { counts: Counts; spares: number | null }) {
  const count = (n: number, word: string) => (
    <span>
      <span className="figure font-semibold text-white">{n}</span> {word}
    </span>
  );
  return (
    <span className="flex flex-wrap gap-x-5 text-lg" role="status" data-good={counts.good}>
      {count(counts.good, 'good')}
      {count(counts.again, 'again')}
      {count(counts.spoiled, 'spoiled')}
      {counts.sheetsLost + counts.transfersLost > 0 && count(counts.sheetsLost + counts.transfersLost, lostWord(counts))}
      {count(counts.left, 'left')}
      {spares !== null &&
        (spares >= 0 ? (
          count(spares, spares === 1 ? 'spare' : 'spares')
        ) : (
          <span className="bg-amber px-2 font-semibold text-print">
            {-spares} {spares === -1 ? 'transfer' : 'transfers'} short
          </span>
        ))}
    </span>
  );
}

/** What was lost while its blank is still good. */
const lostWord = ({ sheetsLost, transfersLost }: Counts): string => {
  const what = sheetsLost > 0 && transfersLost > 0 ? 'sheet or transfer' : sheetsLost > 0 ? 'sheet' : 'transfer';
  return `${what}${sheetsLost + transfersLost > 1 ? 's' : ''} lost`;
};
