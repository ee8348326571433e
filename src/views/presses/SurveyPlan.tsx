/** The platen being surveyed: places read with their figure, the next one lit, those still to come; free places are put with a click. */
import type { Place, SurveyReading } from '../../core/press';
import { formatFigure, type HouseUnits } from '../../core/units';

interface SurveyPlanProps {
  sides: { widthMm: number; heightMm: number };
  readings: readonly SurveyReading[];
  left: readonly Place[];
  house: HouseUnits;
  width: number;
  onPut: ((place: Place) => void) | null;
}

export function SurveyPlan({ sides, readings, left, house, width, onPut }: SurveyPlanProps) {
  const scale = width / sides.widthMm;
  const height = sides.heightMm * scale;
  const x = (mm: number) => (mm + sides.widthMm / 2) * scale;
  const y = (mm: number) => (mm + sides.heightMm / 2) * scale;
  const [next, ...later] = left;
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: the fields beside the drawing put a place from the keyboard
    <svg
      width={width}
      height={height}
      className={`block ${onPut ? 'cursor-crosshair' : ''}`}
      role="img"
      aria-label={
        next ? `Next place: ${Math.round(next.xMm)} mm right, ${Math.round(next.yMm)} mm towards you from the middle` : 'All places read'
      }
      onClick={(event) => {
        if (!onPut) return;
        const box = event.currentTarget.getBoundingClientRect();
        const at = (px: number, whole: number) => Math.round(px / scale - whole / 2);
        onPut({ xMm: at(event.clientX - box.left, sides.widthMm), yMm: at(event.clientY - box.top, sides.heightMm) });
      }}
    >
      <rect x="1" y="1" width={width - 2} height={height - 2} fill="var(--color-sheet)" stroke="var(--color-ink)" strokeWidth="2" />
      <text x={width / 2} y="20" fontSize="13" textAnchor="middle" fill="var(--color-soft)">
        back of the press
      </text>
      {later.map((place) => (
        <circle
          key={`${place.xMm} ${place.yMm}`}
          cx={x(place.xMm)}
          cy={y(place.yMm)}
          r="9"
          fill="none"
          stroke="var(--color-soft)"
          strokeWidth="2"
        />
      ))}
      {readings.map((reading) => (
        <text
          key={`${reading.xMm} ${reading.yMm} ${reading.setC}`}
          x={x(reading.xMm)}
          y={y(reading.yMm) + 6}
          fontSize="17"
          fontWeight="700"
          textAnchor="middle"
          fill="var(--color-ink)"
          className="figure"
        >
          {formatFigure(reading.readC, house.temperature)}
        </text>
      ))}
      {next && (
        <g data-next>
          <circle cx={x(next.xMm)} cy={y(next.yMm)} r="20" fill="var(--color-amber)" stroke="var(--color-ink)" strokeWidth="2.5" />
          <circle cx={x(next.xMm)} cy={y(next.yMm)} r="4" fill="var(--color-ink)" />
        </g>
      )}
    </svg>
  );
}
