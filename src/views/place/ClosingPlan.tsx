/** Small flat pieces: how many go into one closing, and where each lies on the platen. */
import { useMemo } from 'react';
import { type Blank, blankMeasures } from '../../core/materials';
import { type Line, MOST_A_CLOSING } from '../../core/order';
import { closingPlan, type Sides } from '../../core/placement';
import { formatTape, type HouseUnits } from '../../core/units';

interface ClosingPlanProps {
  blank: Blank;
  line: Line;
  platen: Sides;
  units: HouseUnits;
  onUse: (perClosing: number) => void;
}

export function ClosingPlan({ blank, line, platen, units, onUse }: ClosingPlanProps) {
  const wanted = Math.min(MOST_A_CLOSING, line.count);
  const { piece, pieces, room, edgeMm, gapMm } = useMemo(
    () => closingPlan(blankMeasures(blank, line.size), platen, wanted),
    [blank, line.size, platen, wanted],
  );
  const closings = Math.ceil(line.count / line.perClosing);
  const many = pieces.length;
  const scale = 220 / Math.max(platen.widthMm, platen.heightMm);
  return (
    <section aria-label="Several in one closing" className="rule-top mt-4 grid grid-cols-[auto_1fr] gap-6 pt-3 pb-4 narrow:block">
      <svg
        width={platen.widthMm * scale}
        height={platen.heightMm * scale}
        viewBox={`${-platen.widthMm / 2} ${-platen.heightMm / 2} ${platen.widthMm} ${platen.heightMm}`}
        role="img"
        aria-label={`${pieces.length} pieces on the platen`}
      >
        <rect
          x={-platen.widthMm / 2}
          y={-platen.heightMm / 2}
          width={platen.widthMm}
          height={platen.heightMm}
          fill="var(--color-sheet)"
          stroke="var(--color-ink)"
          strokeWidth="4"
        />
        {pieces.map(({ xMm, yMm, turned }, i) => {
          const [pw, ph] = turned ? [piece.heightMm, piece.widthMm] : [piece.widthMm, piece.heightMm];
          return piece.round ? (
            <circle key={i} cx={xMm} cy={yMm} r={pw / 2} fill="var(--color-teal)" />
          ) : (
            <rect key={i} x={xMm - pw / 2} y={yMm - ph / 2} width={pw} height={ph} fill="var(--color-teal)" />
          );
        })}
      </svg>
      <div className="max-w-[46ch]">
        <h2 className="text-lg">Several in one closing</h2>
        {room === 0 ? (
          <p>This piece is larger than the zone of even pressure on this platen.</p>
        ) : (
          <p>
            <b className="figure text-2xl">{room}</b> would lie in the zone of even pressure,{' '}
            <span className="figure">{formatTape(edgeMm, units)}</span> from its edge and{' '}
            <span className="figure">{formatTape(gapMm, units)}</span> apart.{' '}
            {room > many && `${many} are laid about the middle, so that the platen closes evenly. `}All of one thickness.
          </p>
        )}
        <p className="label">
          Now {line.perClosing} a closing, {closings === 1 ? 'one closing' : `${closings} closings`} for {line.count} pieces.
        </p>
        {many > 1 && many !== line.perClosing && (
          <button type="button" className="act mt-2" onClick={() => onUse(many)}>
            Press {many} a closing
          </button>
        )}
      </div>
    </section>
  );
}
