/** What a press really delivers, drawn over what it shows: the line of its surface with its spread, against the true one. */
import { deliveredBand, type Press } from '../../core/press';
import { formatForHouse, toInside } from '../../core/units';
import { useUnits } from '../../ui/house';
import { axisTicks, onAxis, rampColour } from '../../ui/ramp';
import { useWidth } from '../../ui/useWidth';

/** Round settings to draw, °C, by the unit the house reads. */
const SETTINGS_C = { C: [120, 140, 160, 180, 200], F: [250, 300, 350, 400].map((f) => toInside(f, 'F')) };
const ROW = 26;
const LEFT = 96;

export function DeliveredDrawing({ press }: { press: Press }) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const house = useUnits();
  const x = (tempC: number) => LEFT + onAxis(tempC) * (width - LEFT - 16);
  const rows = SETTINGS_C[house.temperature].filter((set) => set >= press.set.minC && set <= press.set.maxC);
  const height = 36 + rows.length * ROW;
  const words = press.calibration
    ? `${press.name} runs ${formatForHouse('temperatureDifference', Math.abs(press.calibration.offsetK), house, 0)} ${press.calibration.offsetK < 0 ? 'under' : 'over'} what it shows, give or take ${formatForHouse('temperatureDifference', press.calibration.spreadK, house, 0)}`
    : `${press.name} was never measured`;
  return (
    <div ref={ref}>
      <h2 className="pb-1">
        {words}. <span className="font-normal text-soft">Shown (tick) and really delivered (band):</span>
      </h2>
      {width > 0 && (
        <svg width={width} height={height} className="block" role="img" aria-label={words}>
          {axisTicks(house.temperature)
            .filter((_, i) => house.temperature === 'C' || i % 2 === 0)
            .map((tick) => (
              <g key={tick.text}>
                <line x1={x(tick.tempC)} x2={x(tick.tempC)} y1="20" y2={height} stroke="var(--color-line)" />
                <text x={x(tick.tempC)} y="14" fontSize="13" textAnchor="middle" fill="var(--color-soft)" className="figure">
                  {tick.text}
                </text>
              </g>
            ))}
          {rows.map((set, i) => {
            const band = deliveredBand(press, set);
            const y = 28 + i * ROW;
            return (
              <g key={set}>
                <text x="0" y={y + 15} fontSize="14" fill="var(--color-soft)" className="figure">
                  set {formatForHouse('temperature', set, house)}
                </text>
                <rect
                  x={x(band.lowC)}
                  y={y}
                  width={Math.max(2, x(band.highC) - x(band.lowC))}
                  height="20"
                  fill={rampColour(band.midC)}
                  stroke="var(--color-ink)"
                  strokeDasharray={press.calibration ? undefined : '4 3'}
                />
                <line x1={x(set)} x2={x(set)} y1={y - 3} y2={y + 23} stroke="var(--color-teal)" strokeWidth="3" />
              </g>
            );
          })}
        </svg>
      )}
    </div>
  );
}
