/** One thing of the shelf on the app's temperature axis, and the axis itself above them all. */
import { formatFigure, formatQuantity } from '../../core/units';
import { axisTicks, onAxis, rampColour } from '../../ui/ramp';
import { useWidth } from '../../ui/useWidth';
import type { Mark } from './marks';

const NAME_WIDTH = 'grid grid-cols-[15rem_minmax(0,1fr)] items-center gap-4 narrow:grid-cols-1 narrow:gap-0';
/** Where words stand in the place of a mark. */
const WIDE_NAME = 'grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] items-center gap-4 narrow:grid-cols-1 narrow:gap-0';
const HEIGHT = 34;

/** Room a figure of the axis takes, px. */
const TICK_ROOM = 36;

export function AxisHead({ unit }: { unit: 'C' | 'F' }) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const ticks = axisTicks(unit);
  const every = Math.max(1, Math.ceil((TICK_ROOM * ticks.length) / Math.max(1, width)));
  return (
    <div className={NAME_WIDTH}>
      <span className="label">{unit === 'F' ? '°F' : '°C'}</span>
      <div ref={ref}>
        <svg width={width} height={22} className="block overflow-visible" aria-hidden="true">
          {ticks
            .filter((_, i) => i % every === 0)
            .map((tick) => (
              <text
                key={tick.text}
                x={onAxis(tick.tempC) * width}
                y="15"
                fontSize="13"
                textAnchor="middle"
                fill="var(--color-soft)"
                className="figure"
              >
                {tick.text}
              </text>
            ))}
        </svg>
      </div>
    </div>
  );
}

interface AxisRowProps {
  name: string;
  detail: string;
  mark: Mark;
  /** Said where there is nothing to draw. */
  unmarked: string | { says: string; isWrong: boolean };
  on: boolean;
  unit: 'C' | 'F';
  onChoose: () => void;
}

export function AxisRow({ name, detail, mark, unmarked, on, unit, onChoose }: AxisRowProps) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const x = (tempC: number) => onAxis(tempC) * width;
  const words =
    mark?.kind === 'window'
      ? `window ${formatQuantity(mark.lowC, unit)} to ${formatQuantity(mark.highC, unit)}`
      : mark?.kind === 'point'
        ? `set to ${formatQuantity(mark.tempC, unit)}, ${mark.says}`
        : mark
          ? `may mark from ${formatQuantity(mark.markC, unit)}, harm from ${formatQuantity(mark.damageC, unit)}`
          : '';
  return (
    <button
      type="button"
      onClick={onChoose}
      aria-pressed={on}
      className={`${typeof unmarked === 'string' ? NAME_WIDTH : WIDE_NAME} w-full border-0 border-b border-line text-left ${on ? 'bg-sheet' : 'bg-transparent hover:bg-sheet'}`}
    >
      <span className={`min-w-0 border-l-4 py-1.5 pl-3 leading-tight ${on ? 'border-teal' : 'border-transparent'}`}>
        <span className="block font-semibold">{name}</span>
        <span className="label block">{detail}</span>
      </span>
      <span ref={ref as React.RefObject<HTMLDivElement | null>} className="block narrow:mb-1.5 narrow:ml-4">
        {!mark && typeof unmarked === 'string' && <span className="label">{unmarked}</span>}
        {!mark && typeof unmarked !== 'string' && (
          <span className={unmarked.isWrong ? 'font-semibold text-brick' : ''}>{unmarked.says}</span>
        )}
        {width > 0 && mark && (
          <svg width={width} height={HEIGHT} className="block overflow-visible" role="img" aria-label={words}>
            <line x1="0" x2={width} y1={HEIGHT / 2} y2={HEIGHT / 2} stroke="var(--color-line)" />
            {mark.kind === 'window' ? (
              <WindowMark x={x} lowC={mark.lowC} highC={mark.highC} unit={unit} />
            ) : mark.kind === 'point' ? (
              <PointMark x={x(mark.tempC)} words={`${formatQuantity(mark.tempC, unit)}, ${mark.says}`} tempC={mark.tempC} width={width} />
            ) : (
              <WallsMark x={x} markC={mark.markC} damageC={mark.damageC} width={width} />
            )}
          </svg>
        )}
      </span>
    </button>
  );
}

/** Width of a letter of the figures, px. */
const LETTER = 7.6;

function PointMark({ x, words, tempC, width }: { x: number; words: string; tempC: number; width: number }) {
  const y = HEIGHT / 2;
  const isRight = x + 12 + words.length * LETTER < width || x - 12 < words.length * LETTER;
  return (
    <g>
      <circle cx={x} cy={y} r="6" fill={rampColour(tempC)} stroke="var(--color-ink)" strokeWidth="2" />
      <text
        x={isRight ? x + 12 : x - 12}
        y={y + 4.5}
        fontSize="13"
        textAnchor={isRight ? 'start' : 'end'}
        stroke="var(--color-paper)"
        strokeWidth="5"
        paintOrder="stroke"
        className="figure"
        fill="var(--color-ink)"
      >
        {words}
      </text>
    </g>
  );
}

function WindowMark({ x, lowC, highC, unit }: { x: (t: number) => number; lowC: number; highC: number; unit: 'C' | 'F' }) {
  const y = HEIGHT / 2;
  return (
    <g>
      <rect x={x(lowC)} y={y - 6} width={x(highC) - x(lowC)} height="12" fill={rampColour((lowC + highC) / 2)} />
      <path
        d={`M${x(lowC) + 7} ${y - 10}H${x(lowC)}V${y + 10}h7M${x(highC) - 7} ${y - 10}H${x(highC)}V${y + 10}h-7`}
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="2.5"
      />
      <text x={x(lowC) - 6} y={y + 5} fontSize="13" textAnchor="end" fill="var(--color-ink)" className="figure">
        {formatFigure(lowC, unit)}
      </text>
      <text x={x(highC) + 6} y={y + 5} fontSize="13" fill="var(--color-ink)" className="figure">
        {formatFigure(highC, unit)}
      </text>
    </g>
  );
}

function WallsMark({ x, markC, damageC, width }: { x: (t: number) => number; markC: number; damageC: number; width: number }) {
  const y = HEIGHT / 2;
  const step = 8;
  const hatch = Array.from({ length: Math.max(0, Math.floor((x(damageC) - x(markC)) / step)) }, (_, i) => x(markC) + i * step);
  return (
    <g>
      {hatch.map((at) => (
        <line key={at} x1={at} x2={at + step} y1={y + 9} y2={y - 9} stroke="var(--color-ink)" strokeWidth="1.2" opacity="0.6" />
      ))}
      <line x1={x(markC)} x2={x(markC)} y1={y - 12} y2={y + 12} stroke="var(--color-ink)" strokeWidth="2.5" />
      <rect x={x(damageC)} y={y - 9} width={Math.max(0, width - x(damageC))} height="18" fill="var(--color-brick-fill)" />
    </g>
  );
}
