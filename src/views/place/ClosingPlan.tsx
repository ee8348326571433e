/** Small flat pieces: how many go into one closing, and where each lies on the platen. */
import { useMemo } from 'react';
import type { Line } from '../../core/card';
import { type Blank, blankMeasures } from '../../core/materials';
import { fillClosing, type Sides } from '../../core/placement';
import { formatTape, type HouseUnits } from '../../core/units';

/** Kept free at the edge of the platen, where the pressure falls off, and between pieces, mm. */
const EDGE_MM = 10;
const GAP_MM = 6;

interface ClosingPlanProps {
  blank: Blank;
  line: Line;
  platen: Sides;
  units: HouseUnits;
  onUse: (perClosing: number) => void;
}

export function ClosingPlan({ blank, line, platen, units, onUse }: ClosingPlanProps) {
  const { measures, shape } = blankMeasures(blank, line.size);
  const round = shape === 'round';
  const [w, h] = [measures.width ?? 0, round ? (measures.width ?? 0) : (measures.height ?? 0)];
  const laid = useMemo(
    () =>
      fillClosing(
        { widthMm: platen.widthMm - 2 * EDGE_MM, heightMm: platen.heightMm - 2 * EDGE_MM },
        { widthMm: w, heightMm: h, round },
        GAP_MM,
      ),
    [platen.widthMm, platen.heightMm, w, h, round],
  );
  const closings = Math.ceil(line.count / line.perClosing);
  const many = Math.min(60, laid.length, line.count);
  const scale = 220 / Math.max(platen.widthMm, platen.heightMm);
  return (
    <section aria-label="Several in one closing" className="rule-top mt-4 grid grid-cols-[auto_1fr] gap-6 pt-3 pb-4">
      <svg
        width={platen.widthMm * scale}
        height={platen.heightMm * scale}
        viewBox={`${-platen.widthMm / 2} ${-platen.heightMm / 2} ${platen.widthMm} ${platen.heightMm}`}
        role="img"
        aria-label={`${laid.length} pieces on the platen`}
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
        {laid.map(({ xMm, yMm, turned }, i) => {
          const [pw, ph] = turned ? [h, w] : [w, h];
          const fill = i < many ? 'var(--color-teal)' : 'var(--color-line)';
          return round ? (
            <circle key={i} cx={xMm} cy={yMm} r={w / 2} fill={fill} />
          ) : (
            <rect key={i} x={xMm - pw / 2} y={yMm - ph / 2} width={pw} height={ph} fill={fill} />
          );
        })}
      </svg>
      <div className="max-w-[46ch]">
        <h2 className="text-lg">Several in one closing</h2>
        {laid.length === 0 ? (
          <p>This piece is larger than the zone of even pressure on this platen.</p>
        ) : (
          <p>
            <b className="figure text-2xl">{laid.length}</b> lie in the zone of even pressure,{' '}
            <span className="figure">{formatTape(EDGE_MM, units)}</span> from its edge and{' '}
            <span className="figure">{formatTape(GAP_MM, units)}</span> apart. All of one thickness.
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
