/**
 * The placement sheet: the blank to scale, what takes no print hatched, tapes as they are laid, the platen where it lies,
 * and the art, which can be dragged or nudged by arrow keys.
 */
import { memo, useMemo } from 'react';
import {
  type Box,
  boundsOf,
  type Lay,
  type Placement,
  platenOn,
  type Ring,
  type Sides,
  sleevesBeside,
  tapesOf,
} from '../../core/placement';
import { formatTape, type HouseUnits } from '../../core/units';
import { useWidth } from '../../ui/useWidth';
import { ArtHandle, type OnScreen, TapeDrawing } from './SheetParts';

/** Another design of the same closing. */
export interface Beside {
  box: Box;
  name: string;
}

interface PlacementSheetProps {
  beside: readonly Beside[];
  /** As it rests, and as it is while the art is being moved. */
  still: Placement;
  placement: Placement;
  /** The placement whose figures are told; behind the hand by no more than an eye needs. */
  shown: Placement;
  /** How the piece lies, at rest. */
  lay: Lay;
  platen: Sides;
  /** Whether it can be pressed as it lies. */
  works: boolean;
  house: HouseUnits;
  artName: string;
  /** An arrow key moves the art by this, mm; with Shift by ten of it. */
  stepMm: number;
  /** Shifted by so much so far, mm. */
  onShift: (shift: { xMm: number; yMm: number }) => void;
  onDone: (by: 'key' | 'pointer') => void;
  most: number;
}

const path = (ring: Ring): string => `M${ring.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;

export function PlacementSheet(props: PlacementSheetProps) {
  const [ref, width] = useWidth<HTMLElement>();
  return (
    <figure ref={ref} className="m-0">
      {width > 0 && <Drawing {...props} width={width} />}
    </figure>
  );
}

function Drawing({
  beside,
  still,
  placement,
  shown,
  lay,
  platen,
  works,
  house,
  artName,
  stepMm,
  onShift,
  onDone,
  most,
  width,
}: PlacementSheetProps & { width: number }) {
  const frame = useMemo(() => frameOf(still, lay, platen, width, most), [still, lay, platen, width, most]);
  return (
    <section className="relative touch-pinch-zoom select-none" aria-label={sheetWords(shown, house, artName)}>
      <Ground still={still} beside={beside} frame={frame} width={width} works={works} />
      <div className="absolute inset-0 contain-strict">
        <ArtHandle
          box={placement.box}
          round={placement.measures.shape === 'round'}
          sheet={frame}
          artName={artName}
          stepMm={stepMm}
          onShift={onShift}
          onDone={onDone}
          words={measureWords(shown, house)}
        />
        {tapesOf(placement).map((tape) => (
          <TapeDrawing key={tape.measure.from} tape={tape} shown={shown} sheet={frame} house={house} />
        ))}
      </div>
    </section>
  );
}

interface Frame extends OnScreen {
  view: string;
  sleeves: Ring[];
  /** The platen as it lies on the panel. */
  ring: Ring;
}

const PAD = 24;

function frameOf({ outline, box, measures, panel }: Placement, lay: Lay, platen: Sides, width: number, most: number): Frame {
  const sleeves = panel === 'front' || panel === 'back' ? sleevesBeside(measures) : [];
  const ring = platenOn(box, lay, platen);
  const seen = viewOf(outline, [...sleeves.flat(), ...ring]);
  const scale = Math.min((width - 2 * PAD) / seen.widthMm, (most - 2 * PAD) / seen.heightMm);
  const height = seen.heightMm * scale + 2 * PAD;
  const [leftMm, topMm] = [seen.leftMm - PAD / scale, seen.topMm - PAD / scale];
  const view = `${leftMm} ${topMm} ${width / scale} ${height / scale}`;
  return { view, leftMm, topMm, px: 1 / scale, width, height, sleeves, ring };
}

/** The piece and the platen, which stay while the art is moved: drawn once, on a layer of their own. */
const Ground = memo(function Ground({
  still,
  beside,
  frame: { view, px, height, sleeves, ring },
  width,
  works,
}: {
  still: Placement;
  beside: readonly Beside[];
  frame: Frame;
  width: number;
  works: boolean;
}) {
  const { outline, features } = still;
  const colour = works ? 'var(--color-teal)' : 'var(--color-brick)';
  return (
    <svg width={width} height={height} viewBox={view} className="block" aria-hidden="true">
      <defs>
        <pattern id="keep-off" width={6 * px} height={6 * px} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width={6 * px} height={6 * px} fill="var(--color-sheet)" />
          <line x1="0" y1="0" x2="0" y2={6 * px} stroke="var(--color-soft)" strokeWidth={2 * px} />
        </pattern>
      </defs>
      {sleeves.map((sleeve, i) => (
        <path key={i} d={path(sleeve)} fill="var(--color-paper)" stroke="var(--color-line)" strokeWidth={1.5 * px} />
      ))}
      <path d={path(outline)} fill="var(--color-sheet)" stroke="var(--color-ink)" strokeWidth={2 * px} />
      {features
        .filter((feature) => feature.layer === 'this')
        .map((feature, i) => (
          <path
            key={`${feature.kind} ${i}`}
            d={feature.pieces.map(path).join('')}
            fill="url(#keep-off)"
            stroke="none"
            data-feature={feature.kind}
          />
        ))}
      {beside.map(({ box: { leftMm, topMm, widthMm, heightMm }, name }) => (
        <g key={name} data-beside={name}>
          <rect
            x={leftMm}
            y={topMm}
            width={widthMm}
            height={heightMm}
            fill="var(--color-paper)"
            stroke="var(--color-ink)"
            strokeWidth={px}
          />
          <text x={leftMm + 6 * px} y={topMm + 18 * px} fontSize={14 * px} fill="var(--color-ink)">
            {name}
          </text>
        </g>
      ))}
      <CentreLine bounds={boundsOf(outline)} px={px} />
      <path
        d={path(ring)}
        fill={colour}
        fillOpacity="0.07"
        stroke={colour}
        strokeWidth={3 * px}
        strokeDasharray={works ? undefined : `${9 * px} ${6 * px}`}
        data-platen={works ? 'works' : 'held off'}
      />
      <Labels placement={still} ring={ring} px={px} />
    </svg>
  );
});

function CentreLine({ bounds, px }: { bounds: Box; px: number }) {
  return (
    <line
      x1="0"
      x2="0"
      y1={bounds.topMm - 10 * px}
      y2={bounds.topMm + bounds.heightMm + 10 * px}
      stroke="var(--color-soft)"
      strokeWidth={px}
      strokeDasharray={`${10 * px} ${3 * px} ${2 * px} ${3 * px}`}
    />
  );
}

/** What is looked at: the whole blank with the platen on it; of a piece much smaller than the platen, the piece alone. */
function viewOf(outline: Ring, around: Ring): Box {
  const own = boundsOf(outline);
  const all = boundsOf([...outline, ...around]);
  if (all.widthMm < 2.5 * own.widthMm && all.heightMm < 2.5 * own.heightMm) return all;
  const more = 0.35 * Math.max(own.widthMm, own.heightMm);
  return { leftMm: own.leftMm - more, topMm: own.topMm - more, widthMm: own.widthMm + 2 * more, heightMm: own.heightMm + 2 * more };
}

/** The front corner of the platen that lies further from the art and its tapes. */
function platenCorner(ring: Ring, box: Box) {
  const front = Math.max(...ring.map(({ y }) => y));
  const middle = box.leftMm + box.widthMm / 2;
  const corners = ring.filter(({ y }) => y > front - 1);
  return corners.reduce((far, corner) => (Math.abs(corner.x - middle) > Math.abs(far.x - middle) + 1 ? corner : far));
}

function Labels({ placement: { features, box }, ring, px }: { placement: Placement; ring: Ring; px: number }) {
  const corner = platenCorner(ring, box);
  const isRight = ring.every(({ x }) => x <= corner.x);
  const named = [
    ...new Map(
      features.filter((feature) => feature.layer === 'this' && feature.heightMm >= 1.2).map((feature) => [feature.kind, feature]),
    ).values(),
  ];
  return (
    <g fontSize={13 * px} fill="var(--color-ink)" stroke="var(--color-sheet)" strokeWidth={3 * px} paintOrder="stroke" pointerEvents="none">
      <text x={corner.x} y={corner.y + 15 * px} fontWeight="700" textAnchor={isRight ? 'end' : 'start'}>
        platen
      </text>
      {named.map((feature) => {
        const bounds = boundsOf(feature.pieces.flat());
        const last = boundsOf(feature.pieces.at(-1) ?? []);
        const tall = bounds.heightMm > 200;
        const apart = last.widthMm < 0.3 * bounds.widthMm && feature.pieces.length <= 4;
        return (
          <text
            key={feature.kind}
            x={tall ? last.leftMm + last.widthMm + 4 * px : apart ? last.leftMm + last.widthMm / 2 : bounds.leftMm + bounds.widthMm / 2}
            y={tall ? bounds.topMm + bounds.heightMm - 14 * px : bounds.topMm - 5 * px}
            textAnchor={tall ? 'start' : 'middle'}
          >
            {feature.kind}
          </text>
        );
      })}
    </g>
  );
}

const measureWords = (placement: Placement, house: HouseUnits): string =>
  placement.lay
    .map(({ mm, way, from, to }) => `${to} ${formatTape(mm, house)} ${way} ${from === 'centre line' ? 'of' : 'from'} the ${from}`)
    .join(', ');

const sheetWords = (placement: Placement, house: HouseUnits, artName: string): string =>
  `${artName} on the ${placement.panel}: ${measureWords(placement, house)}.`;
