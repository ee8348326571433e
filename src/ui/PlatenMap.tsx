/**
 * The platen from above, back at the top: how much hotter or colder each place is than set, with lines of equal heat; measured
 * places with their figure, cold spots ringed, the art's area outlined, hatched where it is hardly known.
 */
import { useId } from 'react';
import type { Area, PlatenMap } from '../core/press';
import { formatFigure, formatForHouse, type HouseUnits, toShown } from '../core/units';
import { type Contour, contoursOf, type Frame, type Grid } from './contours';
import { rampColour } from './ramp';
import { useWidth } from './useWidth';

/** Differences of a few kelvin are drawn this many times as large on the app's ramp, around the middle of it. */
const STRETCH = 5;
const MIDDLE_C = 150;
/** Beyond this uncertainty a place is hatched, K. */
const UNSURE_K = 6;

interface PlatenMapProps {
  map: PlatenMap;
  house: HouseUnits;
  /** It fills its column up to this, px. */
  most: number;
  art?: Area | undefined;
}

/** Colour of a deviation from the platen's mean. */
const deviationColour = (kelvin: number): string => rampColour(MIDDLE_C + STRETCH * kelvin);

const signed = (kelvin: number, unit: 'dC' | 'dF'): string => `${kelvin > 0 ? '+' : ''}${formatFigure(kelvin, unit, 0)}`;

export function mapWords(map: PlatenMap, house: HouseUnits): string {
  const off = formatForHouse('temperatureDifference', Math.abs(map.offset.mean), house, 0);
  const spots = map.cold.map((spot) => `${whereOf(map, spot)} ${formatForHouse('temperatureDifference', spot.byK, house, 0)} colder`);
  return `Surface ${off} ${map.offset.mean < 0 ? 'under' : 'over'} what it shows${spots.length > 0 ? `; ${spots.join(', ')}` : '; no cold spot'}.`;
}

/** A place in words: back left, middle, front. */
function whereOf({ widthMm, heightMm }: Pick<PlatenMap, 'widthMm' | 'heightMm'>, { xMm, yMm }: { xMm: number; yMm: number }): string {
  const side = (at: number, whole: number, low: string, high: string) => (at < -whole / 6 ? low : at > whole / 6 ? high : '');
  return [side(yMm, heightMm, 'back', 'front'), side(xMm, widthMm, 'left', 'right')].filter(Boolean).join(' ') || 'middle';
}

export function PlatenMapDrawing({ most, ...rest }: PlatenMapProps) {
  const [ref, width] = useWidth<HTMLElement>();
  return (
    <figure ref={ref} className="m-0" style={{ maxWidth: most }}>
      {width > 0 && <Drawn {...rest} width={width} />}
    </figure>
  );
}

/** Steps of the colour, K. */
const SHADE_K = 0.5;
/** Lines of equal heat are drawn at round figures, at most about so many. */
const MOST_LINES = 7;
const ROUND = [1, 2, 5, 10, 20, 50];
/** A line's figure stands so far from a measured place at least, px. */
const APART = 26;

const every = (from: number, to: number, step: number): number[] => {
  const first = Math.ceil(from / step);
  return Array.from({ length: Math.max(0, Math.floor(to / step) - first + 1) }, (_, i) => (first + i) * step);
};

/** Where the figure of a line has most space about it; null: nowhere enough. */
function labelPlace({ points }: Contour, taken: readonly { x: number; y: number }[], { width, height }: Frame) {
  const space = ({ x, y }: { x: number; y: number }) =>
    Math.min(x, y, width - x, height - y, ...taken.map((other) => Math.hypot(other.x - x, other.y - y)));
  const best = points.reduce<{ x: number; y: number; px: number } | null>((found, at) => {
    const px = space(at);
    return px > (found?.px ?? APART) ? { ...at, px } : found;
  }, null);
  return best;
}

interface ShadesProps {
  map: PlatenMap;
  frame: Frame;
  unit: 'dC' | 'dF';
  /** Where figures stand already. */
  taken: readonly { x: number; y: number }[];
}

/** The surface as colour without steps, and its lines of equal heat. */
function Shades({ map, frame, unit, taken }: ShadesProps) {
  const id = useId();
  const grid = (value: (node: PlatenMap['nodes'][number]) => number): Grid => ({ ...map, values: map.nodes.map(value) });
  const heat = grid(({ meanK }) => meanK);
  const [low, high] = [Math.min(...heat.values), Math.max(...heat.values)];
  const shades = contoursOf(heat, every(low, high, SHADE_K), frame, true);
  const shown = (kelvin: number) => (unit === 'dF' ? kelvin * 1.8 : kelvin);
  const step = ROUND.find((round) => shown(high - low) / round <= MOST_LINES) ?? 100;
  const lines = contoursOf(
    heat,
    every(shown(low), shown(high), step).map((figure) => (unit === 'dF' ? figure / 1.8 : figure)),
    frame,
    true,
  );
  const [unsure] = contoursOf(
    grid(({ sdK }) => sdK),
    [UNSURE_K],
    frame,
    true,
  );
  return (
    <>
      <clipPath id={`${id}frame`}>
        <rect width={frame.width} height={frame.height} />
      </clipPath>
      <pattern id={`${id}unsure`} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line y2="7" stroke="var(--color-sheet)" strokeWidth="5" />
      </pattern>
      <g clipPath={`url(#${id}frame)`} fillRule="evenodd">
        <rect width={frame.width} height={frame.height} fill={deviationColour(low - map.offset.mean)} />
        {shades.map(({ value, path }) => (
          <path key={value} d={path} fill={deviationColour(value + SHADE_K / 2 - map.offset.mean)} />
        ))}
        {lines.map(({ value, path }) => (
          <path key={value} d={path} fill="none" stroke="var(--color-print)" strokeWidth="1" opacity="0.55" />
        ))}
        {unsure && <path d={unsure.path} fill={`url(#${id}unsure)`} opacity="0.7" data-unsure />}
      </g>
      {lines.map((contour) => {
        const at = labelPlace(contour, taken, frame);
        return (
          at && (
            <text
              key={contour.value}
              x={at.x}
              y={at.y + 4}
              fontSize="12"
              textAnchor="middle"
              fill="var(--color-print)"
              stroke={deviationColour(contour.value - map.offset.mean)}
              strokeWidth="4"
              paintOrder="stroke"
              className="figure"
              data-contour
            >
              {signed(contour.value, unit)}
            </text>
          )
        );
      })}
    </>
  );
}

function Drawn({ map, house, width, art }: Omit<PlatenMapProps, 'most'> & { width: number }) {
  const scale = width / map.widthMm;
  const height = map.heightMm * scale;
  const x = (mm: number) => (mm + map.widthMm / 2) * scale;
  const y = (mm: number) => (mm + map.heightMm / 2) * scale;
  const unit = house.temperature === 'F' ? 'dF' : 'dC';
  return (
    <>
      <svg width={width} height={height} className="block" role="img" aria-label={`Platen map. ${mapWords(map, house)}`}>
        <Shades
          map={map}
          frame={{ left: 0, top: 0, width, height }}
          unit={unit}
          taken={map.measured.map((spot) => ({ x: x(spot.xMm), y: y(spot.yMm) }))}
        />
        <rect x="1" y="1" width={width - 2} height={height - 2} fill="none" stroke="var(--color-ink)" strokeWidth="2" />
        {map.cold.map((spot) => (
          <circle
            key={`${spot.xMm} ${spot.yMm}`}
            cx={x(spot.xMm)}
            cy={y(spot.yMm)}
            r={Math.min(width, height) * 0.12}
            fill="none"
            stroke="var(--color-brick)"
            strokeWidth="3"
            strokeDasharray="7 4"
          />
        ))}
        {art && (
          <rect
            x={x(art.xMm - art.widthMm / 2)}
            y={y(art.yMm - art.heightMm / 2)}
            width={art.widthMm * scale}
            height={art.heightMm * scale}
            fill="none"
            stroke="var(--color-ink)"
            strokeWidth="2.5"
            data-art
          />
        )}
        {map.measured.map((spot, i) => (
          <g key={i}>
            <circle cx={x(spot.xMm)} cy={y(spot.yMm) - 14} r="3.5" fill="var(--color-ink)" />
            <text
              x={x(spot.xMm)}
              y={y(spot.yMm) + 7}
              fontSize="15"
              fontWeight="700"
              textAnchor="middle"
              fill="var(--color-ink)"
              stroke="var(--color-sheet)"
              strokeWidth="3"
              paintOrder="stroke"
              className="figure"
            >
              {signed(spot.offsetK, unit)}
            </text>
          </g>
        ))}
        {art && (
          <text
            x={x(art.xMm)}
            y={y(art.yMm + art.heightMm / 2) - 8}
            fontSize="13"
            fontWeight="700"
            textAnchor="middle"
            fill="var(--color-ink)"
            stroke="var(--color-sheet)"
            strokeWidth="3"
            paintOrder="stroke"
          >
            art
          </text>
        )}
      </svg>
      <figcaption className="label flex justify-between pt-1">
        <span>back at the top</span>
        <span>
          {house.temperature === 'F' ? '°F' : 'K'} off a setting of {Math.round(toShown(map.refC, house.temperature))}
        </span>
      </figcaption>
    </>
  );
}
