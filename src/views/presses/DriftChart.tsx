/** Surveys over time: the mean of each against the limits its baseline gives. */
import type { PressReport } from '../../contract';
import { formatFigure, formatForHouse, type HouseUnits } from '../../core/units';
import { useWidth } from '../../ui/useWidth';

const HEIGHT = 190;
const LEFT = 54;
const [TOP, BOTTOM] = [14, 150];

export function DriftChart({ report, house }: { report: PressReport; house: HouseUnits }) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const { points, chart } = report;
  const { limits, outside } = chart;
  const unit = house.temperature === 'F' ? 'dF' : 'dC';
  const values = [...points.map((point) => point.meanK), ...(limits ? [limits.lowK, limits.highK] : [])];
  const [least, most] = [Math.min(...values) - 1, Math.max(...values) + 1];
  const y = (kelvin: number) => BOTTOM - ((kelvin - least) / (most - least)) * (BOTTOM - TOP);
  const x = (i: number) => LEFT + ((i + 0.5) * (width - LEFT - 8)) / Math.max(points.length, 6);
  const last = points.length - 1;
  const words = !limits
    ? `${points.length} of 5 surveys made; limits are drawn from the fifth on.`
    : outside.includes(last)
      ? `Drifted: the last survey lies outside what this press has kept to.`
      : `Steady: within ${formatForHouse('temperatureDifference', limits.highK - limits.centreK, house, 1)} of its usual ${formatForHouse('temperatureDifference', limits.centreK, house, 1)}.`;
  return (
    <section aria-label="Surveys over time" className="pt-3">
      <h3 className="pb-1">Surveys over time</h3>
      <p className={outside.includes(last) ? 'font-semibold text-brick' : ''}>{words}</p>
      <div ref={ref}>
        {width > 0 && points.length > 0 && (
          <svg width={width} height={HEIGHT} className="block" role="img" aria-label={words}>
            {limits &&
              (
                [
                  [limits.highK, '6 4'],
                  [limits.centreK, undefined],
                  [limits.lowK, '6 4'],
                ] as const
              ).map(([kelvin, dash]) => (
                <g key={kelvin}>
                  <line x1={LEFT} x2={width} y1={y(kelvin)} y2={y(kelvin)} stroke="var(--color-soft)" strokeDasharray={dash} />
                  <text x={LEFT - 8} y={y(kelvin) + 5} fontSize="13" textAnchor="end" fill="var(--color-soft)" className="figure">
                    {formatFigure(kelvin, unit, 1)}
                  </text>
                </g>
              ))}
            <polyline
              points={points.map((point, i) => `${x(i)},${y(point.meanK)}`).join(' ')}
              fill="none"
              stroke="var(--color-ink)"
              strokeWidth="1.5"
            />
            {points.map((point, i) => (
              <g key={point.surveyId} data-survey={point.surveyId}>
                {outside.includes(i) ? (
                  <rect x={x(i) - 6} y={y(point.meanK) - 6} width="12" height="12" fill="var(--color-brick)" stroke="var(--color-ink)" />
                ) : (
                  <circle cx={x(i)} cy={y(point.meanK)} r="5" fill="var(--color-teal)" />
                )}
                {(i === last || i === 0 || i % 3 === 0) && (
                  <text x={x(i)} y={HEIGHT - 18} fontSize="12" textAnchor="middle" fill="var(--color-soft)" className="figure">
                    {point.on.slice(2)}
                  </text>
                )}
              </g>
            ))}
          </svg>
        )}
      </div>
    </section>
  );
}
