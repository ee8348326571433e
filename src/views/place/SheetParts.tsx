/**
 * What moves on the placement sheet: the art under the hand, and the tapes laid to it. All of it is moved by transforms alone, so
 * that a frame of a drag lays nothing out and paints nothing anew.
 */
import { memo, useRef } from 'react';
import { flushSync } from 'react-dom';
import { type Box, type Placement, type Point, point, type Tape } from '../../core/placement';
import { formatTape, type HouseUnits } from '../../core/units';

/** How the sheet lies on the screen. */
export interface OnScreen {
  /** Left and top edge of what is seen, mm. */
  leftMm: number;
  topMm: number;
  /** One pixel, mm. */
  px: number;
  /** Of the drawing, pixels. */
  width: number;
  height: number;
}

const screenPoint = ({ leftMm, topMm, px }: OnScreen, { x, y }: Point): Point => point((x - leftMm) / px, (y - topMm) / px);
const moved = (x: number, y: number) => ({ transform: `translate(${x.toFixed(1)}px, ${y.toFixed(1)}px)` });

const KEYS: Record<string, readonly [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };

interface ArtHandleProps {
  box: Box;
  /** A round face takes round art. */
  round: boolean;
  sheet: OnScreen;
  artName: string;
  stepMm: number;
  words: string;
  onShift: (shift: { xMm: number; yMm: number }) => void;
  onDone: (by: 'key' | 'pointer') => void;
}

/** The art: dragged by pointer, nudged by arrow keys. */
export function ArtHandle({ box, round, sheet, artName, stepMm, words, onShift, onDone }: ArtHandleProps) {
  const from = useRef<{ x: number; y: number; begunX: number; begunY: number } | null>(null);
  const { px } = sheet;
  const [width, height] = [box.widthMm / px, box.heightMm / px];
  const at = screenPoint(sheet, point(box.leftMm, box.topMm));
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={`${artName}: drag it, or move it by arrow keys`}
      aria-valuenow={Math.round(box.topMm)}
      aria-valuetext={words}
      className="absolute top-0 left-0 flex cursor-move items-center justify-center overflow-hidden pb-9 bg-[#3d4850] text-center leading-none font-bold whitespace-nowrap text-white will-change-transform"
      style={{
        width,
        height,
        borderRadius: round ? Math.min(width, height) / 2 : 0,
        fontSize: Math.min(15, (1.7 * width) / Math.max(4, artName.length)),
        ...moved(at.x, at.y),
      }}
      data-art
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
        const { clientX: x, clientY: y } = event;
        from.current = { x, y, begunX: x, begunY: y };
      }}
      onPointerMove={(event) => {
        const start = from.current;
        if (!start) return;
        const { clientX: x, clientY: y } = event;
        // drawn in the frame the hand moved in, not in a task after it
        flushSync(() => onShift({ xMm: (x - start.x) * px, yMm: (y - start.y) * px }));
        from.current = { ...start, x, y };
      }}
      onPointerUp={() => {
        if (from.current) onDone('pointer');
        from.current = null;
      }}
      // a second finger came: the drawing is pinched, and the art stays where it was
      onPointerCancel={() => {
        const start = from.current;
        from.current = null;
        if (start) onShift({ xMm: (start.begunX - start.x) * px, yMm: (start.begunY - start.y) * px });
      }}
    >
      {artName}
    </div>
  );
}

const TICKS = (way: 'right' | 'bottom') => `repeating-linear-gradient(to ${way}, var(--color-amber) 0 7px, var(--color-ink) 7px 8px)`;

interface TapeDrawingProps {
  tape: Tape;
  /** The placement whose figures are told. */
  shown: Placement;
  sheet: OnScreen;
  house: HouseUnits;
}

/**
 * A tape laid from what the hand finds to the art, with its figure. The tape is a long one, drawn once: it is pulled along with the
 * art, and what of it lies before the point it is laid from is cut off by its window.
 */
export function TapeDrawing({ tape: { measure, from, to }, shown, sheet, house }: TapeDrawingProps) {
  const upright = measure.from !== 'centre line';
  const { width, height } = sheet;
  const [a, b] = [screenPoint(sheet, from), screenPoint(sheet, to)];
  const on = upright ? b.y >= a.y : b.x >= a.x;
  const window = upright
    ? { left: 0, width, top: on ? a.y : 0, height: on ? height - a.y : a.y }
    : { top: 0, height, left: on ? a.x : 0, width: on ? width - a.x : a.x };
  const strip = upright
    ? { width: 7, height, background: TICKS('bottom'), ...moved(b.x - 3.5, on ? b.y - a.y - height : b.y) }
    : { width, height: 7, background: TICKS('right'), ...moved(on ? b.x - a.x - width : b.x, b.y - 3.5) };
  const text = formatTape((shown.lay.find((candidate) => candidate.from === measure.from) ?? measure).mm, house);
  const wide = text.length * 9 + 14;
  const middle = point((a.x + b.x) / 2, (a.y + b.y) / 2);
  // a figure that would lie on the art stands beside it
  const at = upright ? point(a.x + (Math.abs(from.x) > 1 ? wide / 2 + 8 : -wide / 2 - 8), middle.y) : point(middle.x, middle.y + 24);
  return (
    <div className={measure.mm < 0.5 ? 'hidden' : 'contents'} data-tape={measure.from}>
      <div className="pointer-events-none absolute overflow-hidden" style={window}>
        <div className="will-change-transform" style={strip} />
      </div>
      {[a, b].map((end, i) => (
        <div
          key={i}
          className="pointer-events-none absolute top-0 left-0 size-3 rounded-full border-2 border-ink bg-sheet will-change-transform"
          style={moved(end.x - 6, end.y - 6)}
        />
      ))}
      <div className="pointer-events-none absolute top-0 left-0 will-change-transform" style={moved(at.x - wide / 2, at.y - 12)}>
        <Figure text={text} wide={wide} />
      </div>
    </div>
  );
}

/** What the tape shows, drawn again only when that changes, in a box of a fixed size, so that nothing else is laid out for it. */
const Figure = memo(function Figure({ text, wide }: { text: string; wide: number }) {
  return (
    <span
      className="figure block h-6 rounded-[3px] contain-strict border border-ink bg-amber text-center text-[15px] leading-[22px] font-bold text-print"
      style={{ width: wide }}
    >
      {text}
    </span>
  );
});
