/** What moves on the placement sheet: the art under the hand, and the tapes laid to it. */
import { useRef } from 'react';
import { type Box, point, type Tape } from '../../core/placement';
import { formatTape, type HouseUnits } from '../../core/units';

const KEYS: Record<string, readonly [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

interface ArtHandleProps {
  box: Box;
  /** A round face takes round art. */
  round: boolean;
  px: number;
  artName: string;
  stepMm: number;
  words: string;
  onShift: (shift: { xMm: number; yMm: number }) => void;
  onDone: (by: 'key' | 'pointer') => void;
}

/** The art: dragged by pointer, nudged by arrow keys. */
export function ArtHandle({ box, round, px, artName, stepMm, words, onShift, onDone }: ArtHandleProps) {
  const from = useRef<{ x: number; y: number } | null>(null);
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`${artName}: drag it, or move it by arrow keys`}
      aria-valuenow={Math.round(box.topMm)}
      aria-valuetext={words}
      className="cursor-move"
      onKeyDown={(event) => {
        const way = KEYS[event.key];
        if (!way) return;
        event.preventDefault();
        const step = stepMm * (event.shiftKey ? 10 : 1);
        onShift({ xMm: way[0] * step, yMm: way[1] * step });
      }}
      onKeyUp={(event) => event.key in KEYS && onDone('key')}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { x: event.clientX, y: event.clientY };
      }}
      onPointerMove={(event) => {
        const start = from.current;
        if (!start) return;
        onShift({ xMm: (event.clientX - start.x) * px, yMm: (event.clientY - start.y) * px });
        from.current = { x: event.clientX, y: event.clientY };
      }}
      onPointerUp={() => {
        if (from.current) onDone('pointer');
        from.current = null;
      }}
    >
      <rect
        x={box.leftMm}
        y={box.topMm}
        width={box.widthMm}
        height={box.heightMm}
        rx={round ? Math.min(box.widthMm, box.heightMm) / 2 : 0}
        fill="#3d4850"
        data-art
      />
      <text
        x={box.leftMm + box.widthMm / 2}
        y={box.topMm + box.heightMm / 2 - 8 * px}
        fontSize={Math.min(15 * px, (1.7 * box.widthMm) / Math.max(4, artName.length))}
        fontWeight="700"
        textAnchor="middle"
        fill="white"
        pointerEvents="none"
      >
        {artName}
      </text>
    </g>
  );
}

/** A tape laid from what the hand finds to the art, with its figure. */
export function TapeDrawing({ tape: { measure, from, to }, px, house }: { tape: Tape; px: number; house: HouseUnits }) {
  if (measure.mm < 0.5) return null;
  const upright = measure.from !== 'centre line';
  const middle = point((from.x + to.x) / 2, (from.y + to.y) / 2);
  const text = formatTape(measure.mm, house);
  const wide = (text.length * 9 + 14) * px;
  // a figure that would lie on the art stands beside it
  const at = upright
    ? point(from.x + (Math.abs(from.x) > 1 ? wide / 2 + 8 * px : -wide / 2 - 8 * px), middle.y)
    : point(middle.x, middle.y + 24 * px);
  return (
    <g data-tape={measure.from}>
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="var(--color-amber)" strokeWidth={7 * px} />
      <line
        x1={from.x}
        y1={from.y}
        x2={to.x}
        y2={to.y}
        stroke="var(--color-ink)"
        strokeWidth={7 * px}
        strokeDasharray={`${px} ${7 * px}`}
      />
      {[from, to].map((end, i) => (
        <circle key={i} cx={end.x} cy={end.y} r={5 * px} fill="var(--color-sheet)" stroke="var(--color-ink)" strokeWidth={2 * px} />
      ))}
      <rect
        x={at.x - wide / 2}
        y={at.y - 12 * px}
        width={wide}
        height={24 * px}
        rx={3 * px}
        fill="var(--color-amber)"
        stroke="var(--color-ink)"
        strokeWidth={px}
      />
      <text x={at.x} y={at.y + 5.5 * px} fontSize={15 * px} fontWeight="700" textAnchor="middle" fill="var(--color-ink)" className="figure">
        {text}
      </text>
    </g>
  );
}
