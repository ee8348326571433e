/** The stage line: the stages of a piece as lengths of time, hands' work and press's work on two tracks. */
import type { Stage } from '../core/card';
import { formatDuration } from '../core/units';
import { useWidth } from './useWidth';

const LEFT = 62;
/** A stage is never drawn narrower than its word, px. */
const LEAST = 58;

/** Widths in proportion to time, with a floor so that every stage can be read. */
function widths(stages: readonly Stage[], room: number): number[] {
  const total = stages.reduce((sum, stage) => sum + Math.sqrt(stage.timeS), 0);
  const spare = Math.max(0, room - LEAST * stages.length);
  return stages.map((stage) => LEAST + (spare * Math.sqrt(stage.timeS)) / total);
}

/** Track of a stage: the press above, the hands below; a wait lies between, on nobody's track. */
const TRACK = { press: 0, clock: 1, hands: 2 } as const;

export function StageLine({ stages, current = -1, dark = false }: { stages: readonly Stage[]; current?: number; dark?: boolean }) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const each = widths(stages, Math.max(0, width - LEFT));
  const ink = dark ? 'white' : 'var(--color-ink)';
  const soft = dark ? 'var(--color-night-soft)' : 'var(--color-soft)';
  const line = dark ? 'var(--color-night-line)' : 'var(--color-line)';
  let x = LEFT;
  return (
    <div ref={ref} className="w-full">
      {width > 0 && (
        <svg
          width={width}
          height={84}
          className="block"
          role="img"
          aria-label={`Stages: ${stages.map((s) => `${s.kind} ${formatDuration(s.timeS)}`).join(', ')}`}
        >
          <text x="0" y="20" fontSize="14" fill={soft}>
            press
          </text>
          <text x="0" y="66" fontSize="14" fill={soft}>
            hands
          </text>
          {stages.map((stage, i) => {
            const left = x;
            const w = each[i] ?? 0;
            x += w;
            const y = 4 + TRACK[stage.by] * 23;
            const on = i === current;
            const fill =
              stage.by === 'press'
                ? dark
                  ? '#e9a227'
                  : 'var(--color-ink)'
                : stage.by === 'hands'
                  ? dark
                    ? '#8fa3ae'
                    : '#8b989f'
                  : 'transparent';
            return (
              <g key={i} opacity={current >= 0 && i < current ? 0.45 : 1}>
                <line x1={left} x2={left} y1="2" y2="82" stroke={line} />
                <rect
                  x={left + 2}
                  y={y}
                  width={w - 4}
                  height={stage.by === 'clock' ? 20 : 18}
                  fill={fill}
                  stroke={stage.by === 'clock' ? soft : on ? 'var(--color-amber)' : 'none'}
                  strokeDasharray={stage.by === 'clock' ? '4 3' : undefined}
                  strokeWidth={on ? 3 : 1}
                />
                <text
                  x={left + 5}
                  y={stage.by === 'press' ? 40 : stage.by === 'clock' ? 18 : 40}
                  fontSize="13"
                  fill={ink}
                  fontWeight={on ? 700 : 400}
                >
                  {stage.kind}
                </text>
                <text
                  x={left + 5}
                  y={stage.by === 'press' ? 56 : stage.by === 'clock' ? 66 : 24}
                  fontSize="13"
                  fill={soft}
                  className="figure"
                >
                  {formatDuration(stage.timeS)}
                </text>
              </g>
            );
          })}
        </svg>
      )}
    </div>
  );
}
