/** The cooling lane: every piece off the press with its clock from the opening on; a tap turns to it. */
import type { RunReply } from '../../contract';
import type { Cooling } from '../../core/run';
import { formatDuration } from '../../core/units';
import { secondsLeft } from '../../ui/clock';
import { piecesWords } from '../../ui/pieces';
import { type Whose, whose } from './whose';

interface LaneProps {
  lots: Cooling[];
  reply: RunReply;
  now: number;
  picked: number | null;
  onPick: (first: number | null) => void;
}

export function Lane({ lots, reply, now, picked, onPick }: LaneProps) {
  if (lots.length === 0) return null;
  return (
    <ul className="flex flex-wrap gap-2 pt-3" aria-label="Off the press">
      {lots.map(({ lot, dueAt, says, keepsUntil }) => {
        const leftS = dueAt === null ? 0 : secondsLeft(dueAt, now);
        const on = picked === lot.first;
        return (
          <li key={lot.first}>
            <button
              type="button"
              aria-pressed={on}
              onClick={() => onPick(on ? null : lot.first)}
              className={`act min-h-12 gap-3 border-night-line text-lg text-white ${on ? 'border-amber' : ''}`}
            >
              <span>
                <Name of={whose(reply, lot.pieces)} pieces={lot.pieces} />
              </span>
              {leftS > 0 ? (
                <span className="text-night-soft">
                  cools <span className="figure text-white">{formatDuration(leftS)}</span>
                </span>
              ) : (
                <span className="text-amber">
                  {says.toLowerCase()}
                  {keepsUntil !== null && <Warm leftS={secondsLeft(keepsUntil, now)} />}
                </span>
              )}
            </button>
          </li>
        );
      })}
    </ul>
  );
}

/** Who it is for, and in a batch of which order; several designs are one blank. */
const Name = ({ of: { person, place, designs, name }, pieces }: { of: Whose; pieces: readonly number[] }) =>
  designs.length > 0 ? (
    <>
      piece {place?.nth} <span className="text-night-soft">{designs.join(', ')}</span>
    </>
  ) : (
    <>
      {piecesWords(pieces)}{' '}
      <span className="text-night-soft">{[person?.number, person?.name, place && name].filter(Boolean).join(' ')}</span>
    </>
  );

/** How long it still is as warm as its peel wants it. */
function Warm({ leftS }: { leftS: number }) {
  return leftS > 0 ? (
    <>
      {' '}
      while it is warm, <span className="figure text-white">{formatDuration(leftS)}</span>
    </>
  ) : (
    <>, it grows cold</>
  );
}
