/**
 * The window bar: the sheet's window as a bracket, limits as walls, what the press may deliver as a hill, as high as it is
 * likely, and the set value as a handle that can be dragged or moved by arrow keys. What is not sure has no hard edge: the
 * hill runs out, and a limit with a doubt of its own fades in. All on the app's one temperature axis.
 *
 *              [======= sheet =======]    ░▒ mark ▒▒▒░▒▓ damage
 *   ───┴────┴────┴──▁▃▆█▆▃▁──┴────┴────┴────┴────┴───
 *                 ▲ set
 */
import { area } from 'd3-shape';
import { useId, useRef } from 'react';
import { useFocusRing } from 'react-aria/useFocusRing';
import { useSlider, useSliderThumb } from 'react-aria/useSlider';
import { useSliderState } from 'react-stately/useSliderState';
import { bandOf } from '../core/press';
import { formatFigure, formatForHouse, formatQuantity, type HouseUnits, snap, toInside, toShown, UNITS } from '../core/units';
import { marginsAt, smallestMargin, type Window } from '../core/window';
import { AXIS, axisTicks, onAxis, rampColour } from './ramp';
import { useWidth } from './useWidth';

const HEIGHT = 148;
const BASE_Y = 84;
const PAD = 14;
const FORMAT = new Intl.NumberFormat('en');
/** Sides that are drawn as a line. */
const LINES = [
  ['dye', 'dye'],
  ['transfer', 'patch'],
] as const;

interface WindowBarProps {
  window: Window;
  /** What the bracket stands for. */
  bracket: string;
  setC: number;
  house: HouseUnits;
  /** Absent: the handle cannot be moved. */
  onMove?: (setC: number) => void;
}

export function WindowBar({ window: w, bracket, setC, house, onMove }: WindowBarProps) {
  const [ref, width] = useWidth<HTMLDivElement>();
  return (
    <div ref={ref} className="relative w-full" style={{ height: HEIGHT }}>
      {width > 0 && (
        <>
          <Drawing w={w} bracket={bracket} setC={setC} house={house} width={width} />
          {onMove && <Grip w={w} setC={setC} house={house} width={width} onMove={onMove} />}
        </>
      )}
    </div>
  );
}

/** Where a temperature stands across the bar, px. */
const acrossOf = (width: number) => (tempC: number) => PAD + onAxis(tempC) * (width - 2 * PAD);

interface DrawingProps {
  w: Window;
  bracket: string;
  setC: number;
  house: HouseUnits;
  width: number;
}

function Drawing({ w, bracket, setC, house, width }: DrawingProps) {
  const hatch = useId();
  const x = acrossOf(width);
  const sideOf = (side: string) => w.bounds.find((b) => b.side === side);
  const bound = (side: string) => sideOf(side)?.surfaceC;
  const low = bound('sheet low') ?? 0;
  const high = bound('sheet high') ?? 0;
  const { lowC, midC: mid, highC } = bandOf(w, setC);
  return (
    <svg width={width} height={HEIGHT} className="block select-none">
      <title>{describe(w, setC, house)}</title>
      <defs>
        <pattern id={hatch} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="7" stroke="var(--color-ink)" strokeWidth="1.5" opacity="0.55" />
        </pattern>
      </defs>
      <Wall x={x} at={sideOf('mark')} until={bound('damage')} fill={`url(#${hatch})`} label="may mark" width={width} />
      <Wall x={x} at={sideOf('damage')} fill="var(--color-brick-fill)" label="harm" width={width} />
      {LINES.map(([side, label], i) => {
        const at = bound(side);
        return (
          at !== undefined && (
            <g key={side}>
              <line x1={x(at)} x2={x(at)} y1={40} y2={BASE_Y} stroke="var(--color-ink)" strokeDasharray="3 3" />
              <text
                x={x(at) - 4}
                y={52 + 14 * i}
                fontSize="13"
                textAnchor="end"
                fill="var(--color-soft)"
                stroke="var(--color-paper)"
                strokeWidth="4"
                paintOrder="stroke"
              >
                {label}
              </text>
            </g>
          )
        );
      })}
      <Axis x={x} unit={w.settable.unit} width={width} handleX={x(setC)} />
      <path
        d={`M${x(low) + 9} 32H${x(low)}V${BASE_Y + 6}M${x(high) - 9} 32H${x(high)}V${BASE_Y + 6}`}
        fill="none"
        stroke="var(--color-ink)"
        strokeWidth="3"
      />
      <line x1={x(low)} x2={x(high)} y1="32" y2="32" stroke="var(--color-ink)" strokeWidth="1" />
      <text x={(x(low) + x(high)) / 2} y="20" fontSize="14" textAnchor="middle" fill="var(--color-ink)">
        {bracket}
      </text>
      <Delivered x={x} low={lowC} mid={mid} high={highC} />
      <Handle w={w} setC={setC} x={x} width={width} />
    </svg>
  );
}

/** A limit fades in over so many of its standard deviations on either side. */
const FADE_SDS = 2;

function Wall({
  x,
  at,
  until,
  fill,
  label,
  width,
}: {
  x: (t: number) => number;
  at: Window['bounds'][number] | undefined;
  until?: number | undefined;
  fill: string;
  label: string;
  width: number;
}) {
  const fade = useId();
  if (!at || x(at.surfaceC) >= width - PAD) return null;
  const { surfaceC, sdK } = at;
  const from = x(surfaceC - FADE_SDS * sdK);
  const full = x(surfaceC + FADE_SDS * sdK);
  const end = until === undefined ? width - PAD : Math.max(x(surfaceC), x(until));
  const spacePx = end - x(surfaceC);
  return (
    <g>
      <defs>
        <linearGradient id={`${fade}-ramp`} gradientUnits="userSpaceOnUse" x1={from} x2={Math.max(from + 1, full)} y1="0" y2="0">
          <stop offset="0" stopColor="white" stopOpacity="0" />
          <stop offset="1" stopColor="white" stopOpacity="1" />
        </linearGradient>
        <mask id={fade} maskUnits="userSpaceOnUse" x={from} y="0" width={Math.max(0, end - from)} height={HEIGHT}>
          <rect x={from} y="0" width={Math.max(0, end - from)} height={HEIGHT} fill={`url(#${fade}-ramp)`} />
        </mask>
      </defs>
      <rect x={from} y={44} width={Math.max(0, end - from)} height={BASE_Y - 44} fill={fill} mask={`url(#${fade})`} />
      <line x1={x(surfaceC)} x2={x(surfaceC)} y1={40} y2={BASE_Y + 4} stroke="var(--color-ink)" strokeWidth="2" />
      {spacePx > 44 && (
        <text x={x(surfaceC) + 2} y={38} fontSize="13" fill="var(--color-ink)">
          {label}
        </text>
      )}
    </g>
  );
}

/** A label this near to the handle is left out, px. */
const CLEAR_OF_HANDLE = 27;

function Axis({ x, unit, width, handleX }: { x: (t: number) => number; unit: 'C' | 'F'; width: number; handleX: number }) {
  return (
    <g>
      <line x1={PAD} x2={width - PAD} y1={BASE_Y} y2={BASE_Y} stroke="var(--color-ink)" />
      {axisTicks(unit).map((tick) => (
        <g key={tick.text}>
          <line x1={x(tick.tempC)} x2={x(tick.tempC)} y1={BASE_Y} y2={BASE_Y + 6} stroke="var(--color-ink)" />
          {Math.abs(x(tick.tempC) - handleX) > CLEAR_OF_HANDLE && (
            <text x={x(tick.tempC)} y={BASE_Y + 20} fontSize="13" textAnchor="middle" fill="var(--color-soft)" className="figure">
              {tick.text}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

/** Points of the hill, and how many standard deviations it reaches to either side. */
const HILL = { points: 24, sds: 3, topY: 47, sdsInBand: 1.96 } as const;

/** What the press may deliver: at each temperature as high as that is likely. */
function Delivered({ x, low, mid, high }: { x: (t: number) => number; low: number; mid: number; high: number }) {
  const gradient = useId();
  const sd = Math.max(0.4, (high - low) / 2 / HILL.sdsInBand);
  const zs = Array.from({ length: HILL.points + 1 }, (_, i) => -HILL.sds + (2 * HILL.sds * i) / HILL.points);
  const hill = area<number>()
    .x((z) => x(mid + z * sd))
    .y0(BASE_Y)
    .y1((z) => BASE_Y - (BASE_Y - HILL.topY) * Math.exp((-z * z) / 2))
    .digits(1);
  return (
    <g>
      <defs>
        <linearGradient id={gradient}>
          <stop offset="0" stopColor={rampColour(mid - HILL.sds * sd)} />
          <stop offset="1" stopColor={rampColour(mid + HILL.sds * sd)} />
        </linearGradient>
      </defs>
      <path d={hill(zs) ?? ''} fill={`url(#${gradient})`} stroke="var(--color-ink)" strokeWidth="1.5" />
      <line x1={x(mid)} x2={x(mid)} y1={HILL.topY} y2={BASE_Y} stroke="var(--color-ink)" strokeWidth="2.5" />
    </g>
  );
}

const marginText = (w: Window, setC: number, house: HouseUnits) =>
  formatForHouse('temperatureDifference', smallestMargin(marginsAt(w, setC)), house, 0);

function describe(w: Window, setC: number, house: HouseUnits): string {
  const { unit } = w.settable;
  const { lowC, highC } = bandOf(w, setC);
  const margin = smallestMargin(marginsAt(w, setC));
  const nearest =
    margin < 0
      ? `over the nearest limit by ${formatForHouse('temperatureDifference', -margin, house, 0)}`
      : `nearest limit ${marginText(w, setC, house)} away`;
  return `set ${formatQuantity(setC, unit)}, surface ${formatQuantity(lowC, unit)} to ${formatQuantity(highC, unit)}, ${nearest}`;
}

function Handle({ w, setC, x, width }: Pick<DrawingProps, 'w' | 'setC' | 'width'> & { x: (t: number) => number }) {
  const { unit } = w.settable;
  const { midC } = bandOf(w, setC);
  const at = x(setC);
  const anchor = at > width - 90 ? 'end' : at < 90 ? 'start' : 'middle';
  return (
    <g>
      {Math.abs(midC - setC) > 0.4 && (
        <path d={`M${at} ${BASE_Y + 2}L${x(midC)} ${BASE_Y - 1}`} stroke="var(--color-teal)" strokeWidth="2" />
      )}
      <path d={`M${at} ${BASE_Y + 1}l11 26h-22z`} fill="var(--color-teal)" stroke="var(--color-paper)" strokeWidth="1.5" />
      <text x={at} y={BASE_Y + 45} fontSize="15" fontWeight="700" textAnchor={anchor} fill="var(--color-teal)">
        set <tspan className="figure">{formatFigure(setC, unit)}</tspan> {UNITS[unit].symbol}
      </text>
    </g>
  );
}

/** Side of what a finger takes hold of, px. */
const GRIP = 52;

/** What is taken hold of over the drawn handle: dragged, or moved by keys in the steps of the press. */
function Grip({
  w,
  setC,
  house,
  width,
  onMove,
}: Pick<DrawingProps, 'w' | 'setC' | 'house' | 'width'> & { onMove: (setC: number) => void }) {
  const track = useRef<HTMLDivElement>(null);
  const input = useRef<HTMLInputElement>(null);
  const { unit, step, minC, maxC } = w.settable;
  const inSteps = (tempC: number) => step * Math.round(toShown(tempC, unit) / step);
  // no further than the axis is drawn
  const ends = { minValue: inSteps(Math.max(minC, AXIS.lowC)), maxValue: inSteps(Math.min(maxC, AXIS.highC)) };
  const state = useSliderState({
    ...ends,
    step,
    value: inSteps(setC),
    onChange: (shown: number) => onMove(snap(toInside(shown, unit), unit, step)),
    numberFormatter: FORMAT,
    label: 'Set value',
  });
  const { groupProps, trackProps: _, labelProps: __ } = useSlider({ ...ends, step, 'aria-label': 'Set value' }, state, track);
  const { thumbProps, inputProps } = useSliderThumb({ index: 0, trackRef: track, inputRef: input, 'aria-label': 'Set value' }, state);
  const { focusProps, isFocusVisible } = useFocusRing();
  const words = { 'aria-valuetext': describe(w, setC, house) };
  const x = acrossOf(width);
  const left = x(toInside(ends.minValue, unit));
  return (
    <div {...groupProps}>
      <div
        ref={track}
        className="pointer-events-none absolute"
        style={{ left, width: x(toInside(ends.maxValue, unit)) - left, top: BASE_Y, height: 1 }}
      />
      <div
        {...thumbProps}
        className="absolute cursor-ew-resize touch-none"
        style={{ left: x(setC) - GRIP / 2, top: BASE_Y - 4, width: GRIP, height: GRIP }}
      >
        <input
          {...inputProps}
          {...focusProps}
          {...words}
          ref={input}
          className="pointer-events-none absolute inset-0 size-full opacity-0"
        />
        {isFocusVisible && <span className="absolute inset-x-2.5 top-0 h-9 outline-2 outline-teal" />}
      </div>
    </div>
  );
}
