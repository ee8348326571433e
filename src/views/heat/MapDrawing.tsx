/** The map a sweep gives: too little, sound, too much, with the sheet's window, the press's reach and the setting on it. */
import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import type { BenchStack } from '../../core/advice';
import { SOUND } from '../../core/heat';
import { SWEPT, type SweepQuery, type Swept } from '../../core/heatBench';
import { bandOf } from '../../core/press';
import { formatFigure, type HouseUnits } from '../../core/units';
import { contoursOf } from '../../ui/contours';
import { useWidth } from '../../ui/useWidth';
import { classOf, isTemperature, roundValues, valueNow } from './axes';
import type { Variant } from './variant';

export const NAMES: Record<Swept, string> = {
  time: 'time',
  temperature: 'temperature at the surface',
  pressure: 'contact pressure',
  base: 'base',
  'pre-press': 'pre-press',
  damp: 'damp',
  thickness: 'thickness of the cloth',
};

export interface Mapped {
  query: SweepQuery;
  rows: { y: number; bonds: number[] }[];
}

export interface MapProps {
  variant: Variant;
  stack: BenchStack;
  house: HouseUnits;
}

const COLOURS = { under: '#cdd5d8', sound: '#40888a', over: '#e2a850' } as const;
const HEIGHT = 380;
const [LEFT, RIGHT, TOP, BOTTOM] = [66, 12, 10, 48];

export function MapDrawing({ map, variant, stack, house }: MapProps & { map: Mapped }) {
  const [box, width] = useWidth<HTMLDivElement>();
  const { query, rows } = map;
  const all = rows.flatMap(({ bonds }) => bonds);
  const part = (kind: keyof typeof COLOURS) =>
    Math.round((100 * all.filter((bond) => classOf(bond) === kind).length) / Math.max(1, all.length));
  const words = `${part('sound')} % of the map is sound, ${part('under')} % too little, ${part('over')} % too much.`;
  const inner = { w: Math.max(100, width - LEFT - RIGHT), h: HEIGHT - TOP - BOTTOM };
  const px = scaleLinear()
    .domain([query.x.from, query.x.to])
    .range([LEFT, LEFT + inner.w]);
  const py = scaleLinear()
    .domain([query.y.from, query.y.to])
    .range([TOP + inner.h, TOP]);
  return (
    <figure>
      <div ref={box} className="relative max-w-[47.5rem]" style={{ height: HEIGHT }}>
        <svg width={width} height={HEIGHT} role="img" aria-label={words} className="absolute inset-0" data-steps={query.x.steps}>
          <Bands map={map} inner={inner} />
        </svg>
        {width > 0 && <Overlay {...{ query, variant, stack, house, px, py, inner, width }} />}
      </div>
      <figcaption className="flex flex-wrap gap-x-5 gap-y-1 pt-1">
        {(['under', 'sound', 'over'] as const).map((kind) => (
          <span key={kind} className="flex items-center gap-2">
            <span className="inline-block size-4 border border-ink" style={{ background: COLOURS[kind] }} />
            {{ under: 'too little', sound: 'sound', over: 'too much' }[kind]} <span className="figure label">{`${part(kind)} %`}</span>
          </span>
        ))}
        <span className="label">frame: the sheet’s window · hatched: beyond the press · ring: this setting</span>
      </figcaption>
    </figure>
  );
}

/** Where the bond is sound and where it is too much, with an edge where it begins. */
function Bands({ map: { query, rows }, inner }: { map: Mapped; inner: { w: number; h: number } }) {
  const frame = useId();
  // the drawing's rows go down, the values go up
  const grid = { columns: query.x.steps, rows: rows.length, values: [...rows].reverse().flatMap(({ bonds }) => bonds) };
  const [sound, over] = contoursOf(grid, [SOUND.low, SOUND.high], { left: LEFT, top: TOP, width: inner.w, height: inner.h });
  return (
    <>
      <clipPath id={frame}>
        <rect x={LEFT} y={TOP} width={inner.w} height={inner.h} />
      </clipPath>
      <rect x={LEFT} y={TOP} width={inner.w} height={inner.h} fill={COLOURS.under} />
      <g clipPath={`url(#${frame})`} fillRule="evenodd" stroke="var(--color-print)">
        <path d={sound?.path} fill={COLOURS.sound} />
        <path d={over?.path} fill={COLOURS.over} />
      </g>
    </>
  );
}

const unitText = (of: Swept, house: HouseUnits): string =>
  isTemperature(of) ? `°${house.temperature}` : SWEPT[of].unit === 'times' ? 'times' : SWEPT[of].unit;
const figureOf = (of: Swept, value: number, house: HouseUnits): string =>
  isTemperature(of) ? formatFigure(value, house.temperature) : formatFigure(value, 's', Number.isInteger(Number(value.toFixed(6))) ? 0 : 1);

interface OverlayProps extends MapProps {
  query: SweepQuery;
  px: (value: number) => number;
  py: (value: number) => number;
  inner: { w: number; h: number };
  width: number;
}

function Overlay({ query, variant, stack, house, px, py, inner, width }: OverlayProps) {
  const { allowed, press } = stack;
  const windowOf = (of: Swept) => (of === 'time' ? allowed.timeS : of === 'temperature' ? allowed.surfaceC : null);
  const [wx, wy] = [windowOf(query.x.of), windowOf(query.y.of)];
  const inside = { x0: LEFT, x1: LEFT + inner.w, y0: TOP, y1: TOP + inner.h };
  const clampX = (v: number) => Math.max(inside.x0, Math.min(inside.x1, v));
  const clampY = (v: number) => Math.max(inside.y0, Math.min(inside.y1, v));
  const [left, right] = wx ? [clampX(px(wx.min)), clampX(px(wx.max))] : [inside.x0, inside.x1];
  const [top, bottom] = wy ? [clampY(py(wy.max)), clampY(py(wy.min))] : [inside.y0, inside.y1];
  const reach = { low: bandOf(press, press.minC).midC, high: bandOf(press, press.maxC).midC };
  const beyond: { x: number; y: number; w: number; h: number }[] = [];
  if (query.x.of === 'temperature') {
    beyond.push({ x: inside.x0, y: inside.y0, w: clampX(px(reach.low)) - inside.x0, h: inner.h });
    beyond.push({ x: clampX(px(reach.high)), y: inside.y0, w: inside.x1 - clampX(px(reach.high)), h: inner.h });
  }
  if (query.y.of === 'temperature') {
    beyond.push({ x: inside.x0, y: inside.y0, w: inner.w, h: clampY(py(reach.high)) - inside.y0 });
    beyond.push({ x: inside.x0, y: clampY(py(reach.low)), w: inner.w, h: inside.y1 - clampY(py(reach.low)) });
  }
  const ticks = (axis: SweepQuery['x']) => roundValues(axis, house);
  const here = { x: px(valueNow(query.x.of, variant)), y: py(valueNow(query.y.of, variant)) };
  return (
    <svg width={width} height={HEIGHT} className="pointer-events-none absolute inset-0" aria-hidden="true">
      <defs>
        <pattern id="beyond" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="8" stroke="var(--color-print)" strokeWidth="1.5" opacity="0.7" />
        </pattern>
      </defs>
      {beyond
        .filter(({ w, h }) => w > 0.5 && h > 0.5)
        .map((rect) => (
          <rect key={`${rect.x} ${rect.y} ${rect.w}`} x={rect.x} y={rect.y} width={rect.w} height={rect.h} fill="url(#beyond)" />
        ))}
      {(wx || wy) && (
        <rect
          x={left}
          y={top}
          width={Math.max(0, right - left)}
          height={Math.max(0, bottom - top)}
          fill="none"
          stroke="var(--color-print)"
          strokeWidth="2.5"
        />
      )}
      <circle cx={here.x} cy={here.y} r="8" fill="white" stroke="var(--color-print)" strokeWidth="3" />
      {ticks(query.x).map((value) => (
        <text
          key={value}
          x={px(value)}
          y={TOP + inner.h + 18}
          fontSize="14"
          textAnchor="middle"
          fill="var(--color-soft)"
          className="figure"
        >
          {figureOf(query.x.of, value, house)}
        </text>
      ))}
      {ticks(query.y).map((value) => (
        <text key={value} x={LEFT - 8} y={py(value) + 5} fontSize="14" textAnchor="end" fill="var(--color-soft)" className="figure">
          {figureOf(query.y.of, value, house)}
        </text>
      ))}
      <text x={LEFT + inner.w / 2} y={HEIGHT - 8} fontSize="14" textAnchor="middle" fill="var(--color-soft)">
        {NAMES[query.x.of]}, {unitText(query.x.of, house)}
      </text>
      <text
        x={14}
        y={TOP + inner.h / 2}
        fontSize="14"
        textAnchor="middle"
        fill="var(--color-soft)"
        transform={`rotate(-90 14 ${TOP + inner.h / 2})`}
      >
        {NAMES[query.y.of]}, {unitText(query.y.of, house)}
      </text>
    </svg>
  );
}
