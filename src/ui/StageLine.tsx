/** The stage line: the stages of a piece as lengths of time, hands' work and press's work on two tracks. */
import { memo } from 'react';
import type { Stage } from '../core/card';
import { formatDuration } from '../core/units';
import { useWidth } from './useWidth';

const LEFT = 62;
/** A stage is never drawn narrower than its word, px. */
const LEAST = 94;
const ROW_HEIGHT = 74;
/** A wait is drawn no longer than this, with a break in it, s. */
const LONGEST_S = 40;
const TRACK = { press: { y: 24, height: 16 }, hands: { y: 46, height: 16 }, clock: { y: 35, height: 16 } } as const;

const drawnS = (stage: Stage) => Math.min(stage.timeS, LONGEST_S);

/** Widths in proportion to time, with a floor so that every stage can be read. */
function widths(stages: readonly Stage[], spacePx: number): number[] {
  const total = stages.reduce((sum, stage) => sum + drawnS(stage), 0);
  const least = Math.min(LEAST, spacePx / stages.length);
  const spare = spacePx - least * stages.length;
  return stages.map((stage) => least + (spare * drawnS(stage)) / total);
}

interface StageLineProps {
  stages: readonly Stage[];
  /** Index of the stage the run is at; none before and after. */
  current?: number;
  /** Only the row that the current stage is in. */
  here?: boolean;
}

/** Stages to a row, so that each can still be read. */
function rowsOf(stages: readonly Stage[], spacePx: number): { from: number; stages: readonly Stage[] }[] {
  const most = Math.max(1, Math.floor(spacePx / LEAST));
  const rows = Math.ceil(stages.length / most);
  const each = Math.ceil(stages.length / rows);
  return Array.from({ length: rows }, (_, i) => ({ from: i * each, stages: stages.slice(i * each, (i + 1) * each) }));
}

export const StageLine = memo(function StageLine({ stages, current = -1, here = false }: StageLineProps) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const spacePx = Math.max(0, width - LEFT);
  const all = width > 0 ? rowsOf(stages, spacePx) : [];
  const now = all.findLast(({ from }) => from <= Math.max(0, current));
  const rows = here && now ? [now] : all;
  return (
    <div ref={ref} className="w-full">
      {width > 0 && (
        <svg
          width={width}
          height={ROW_HEIGHT * rows.length}
          className="block"
          role="img"
          aria-label={`Stages: ${stages.map((s) => `${s.kind} ${formatDuration(s.timeS)}`).join(', ')}`}
        >
          {rows.map((row, r) => {
            const each = widths(row.stages, spacePx);
            return (
              <g key={row.from} transform={`translate(0 ${r * ROW_HEIGHT})`}>
                <text x="0" y={TRACK.press.y + 13} fontSize="14" fill="var(--color-soft)">
                  press
                </text>
                <text x="0" y={TRACK.hands.y + 13} fontSize="14" fill="var(--color-soft)">
                  hands
                </text>
                {row.stages.map((stage, i) => (
                  <StageMark
                    key={row.from + i}
                    stage={stage}
                    x={LEFT + each.slice(0, i).reduce((sum, w) => sum + w, 0)}
                    width={each[i] ?? 0}
                    on={row.from + i === current}
                    past={row.from + i < current}
                  />
                ))}
              </g>
            );
          })}
        </svg>
      )}
    </div>
  );
});

const StageMark = memo(function StageMark({
  stage,
  x,
  width,
  on,
  past,
}: {
  stage: Stage;
  x: number;
  width: number;
  on: boolean;
  past: boolean;
}) {
  const { y, height } = TRACK[stage.by];
  const busy = stage.by === 'press' ? 'var(--color-ink)' : 'var(--color-edge)';
  const middle = x + width / 2;
  return (
    <g opacity={past ? 0.45 : 1}>
      <line x1={x} x2={x} y1="2" y2="68" stroke="var(--color-line)" />
      <text x={x + 5} y="15" fontSize="13.5" fill="var(--color-ink)" fontWeight={on ? 700 : 400}>
        {stage.kind}{' '}
        {width >= LEAST && (
          <tspan className="figure" fill="var(--color-soft)">
            {formatDuration(stage.timeS)}
          </tspan>
        )}
      </text>
      <rect
        x={x + 2}
        y={y}
        width={width - 4}
        height={height}
        fill={stage.by === 'clock' ? 'none' : busy}
        stroke={stage.by === 'clock' ? 'var(--color-soft)' : 'none'}
        strokeDasharray="4 3"
      />
      {stage.timeS > LONGEST_S && (
        <path d={`M${middle - 8} ${y - 3}l6 ${height + 6}h8l-6 ${-height - 6}z`} fill="var(--color-paper)" stroke="var(--color-soft)" />
      )}
      {on && <rect x={x + 2} y="20" width={width - 4} height="46" fill="none" stroke="var(--color-amber)" strokeWidth="3" />}
    </g>
  );
});
