/**
 * The platen from above, back at the top: how much hotter or colder each place is than set, measured places with their
 * figure, cold spots ringed, the art's area outlined.
 */
import type { Area, PlatenMap } from '../core/press';
import { formatFigure, formatForHouse, type HouseUnits, toShown } from '../core/units';
import { rampColour } from './ramp';
import { useWidth } from './useWidth';

/** Differences of a few kelvin are drawn this many times as large on the app's ramp, around the middle of it. */
const STRETCH = 5;
const MIDDLE_C = 150;
/** Beyond this uncertainty a place is drawn faintly, K. */
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
      {width > 0 && <Cells {...rest} width={width} />}
    </figure>
  );
}

function Cells({ map, house, width, art }: Omit<PlatenMapProps, 'most'> & { width: number }) {
  const scale = width / map.widthMm;
  const height = map.heightMm * scale;
  const x = (mm: number) => (mm + map.widthMm / 2) * scale;
  const y = (mm: number) => (mm + map.heightMm / 2) * scale;
  const [cellW, cellH] = [width / map.columns, height / map.rows];
  const unit = house.temperature === 'F' ? 'dF' : 'dC';
  return (
    <>
      <svg width={width} height={height} className="block" role="img" aria-label={`Platen map. ${mapWords(map, house)}`}>
        {map.nodes.map(({ meanK, sdK }, i) => (
          <rect
            key={i}
            x={(i % map.columns) * cellW}
            y={Math.floor(i / map.columns) * cellH}
            width={cellW}
            height={cellH}
            shapeRendering="crispEdges"
            fill={deviationColour(meanK - map.offset.mean)}
            opacity={Math.max(0.35, 1 - sdK / (2 * UNSURE_K))}
          />
        ))}
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
