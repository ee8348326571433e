/** Print sizes for the run: every size of this blank in the order with its print to scale, and where one print size ends. */
import {
  DndContext,
  type DragEndEvent,
  PointerSensor,
  pointerWithin,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { CSS } from '@dnd-kit/utilities';
import { useState } from 'react';
import { type Blank, blankMeasures } from '../../core/materials';
import { type Line, type Order, type Print, runSizes, withPrintWidths } from '../../core/order';
import {
  cutsOf,
  outlineOf,
  PANEL_OF,
  type Ring,
  type RunSize,
  ruleOf,
  type SizeSplit,
  splitAfter,
  splitRun,
  TAPE_STEP_MM,
} from '../../core/placement';
import type { Press } from '../../core/press';
import { formatTape, type HouseUnits } from '../../core/units';

interface SizeRunProps {
  order: Order;
  line: Line;
  print: Print;
  blank: Blank;
  press: Press;
  units: HouseUnits;
  onUse: (order: Order, what: string) => void;
}

export function SizeRun({ order, line, print, blank, press, units, onUse }: SizeRunProps) {
  const [after, setAfter] = useState<number[] | null>(null);
  const share = ruleOf(print.position).shareOfChest;
  const sizes = runSizes(order, line, print, blank);
  if (!share || sizes.length < 2) return null;
  const most = Math.max(press.platen.widthMm, press.platen.heightMm) - 20;
  const step = TAPE_STEP_MM[units.length];
  const split = after ? splitAfter(sizes, after, share, most, step) : splitRun(sizes, share, most, step);
  const cuts = cutsOf(split);
  const move = (from: number, to: number) => setAfter([...cuts.filter((cut) => cut !== from && cut !== to), to].sort((a, b) => a - b));
  const toggle = (i: number) => setAfter(cuts.includes(i) ? cuts.filter((cut) => cut !== i) : [...cuts, i].sort((a, b) => a - b));
  return (
    <section aria-label="Print sizes for the run" className="rule-top mt-4 pt-3">
      <h2 className="text-lg">
        Print sizes for the run{' '}
        <span className="label font-normal">
          {Math.round(share.min * 100)} to {Math.round(share.max * 100)} % of the chest
        </span>
      </h2>
      <Run sizes={sizes} split={split} blank={blank} print={print} units={units} cuts={cuts} onToggle={toggle} onMove={move} />
      <p className="pt-1">
        {split.outside.length > 0 ? (
          <span role="status" className="border-l-4 border-brick pl-3">
            No print of this split suits {split.outside.join(', ')}: part it there, or let it be.
          </span>
        ) : (
          <span className="label">Part the run where you like: press between two sizes, or drag a mark to another place.</span>
        )}
      </p>
      <div className="flex gap-3 py-2">
        <button type="button" className="act" onClick={() => onUse(withPrintWidths(order, line, print, split), 'print sizes for the run')}>
          Use {split.groups.length === 1 ? 'this print size' : `these ${split.groups.length} print sizes`}
        </button>
        {after && (
          <button type="button" className="act act-quiet underline" onClick={() => setAfter(null)}>
            Fewest again
          </button>
        )}
      </div>
    </section>
  );
}

interface RunProps {
  sizes: readonly RunSize[];
  split: SizeSplit;
  blank: Blank;
  print: Print;
  units: HouseUnits;
  cuts: readonly number[];
  onToggle: (i: number) => void;
  onMove: (from: number, to: number) => void;
}

const d = (ring: Ring): string => `M${ring.map(({ x, y }) => `${x.toFixed(0)} ${y.toFixed(0)}`).join('L')}Z`;

function Run({ sizes, split, blank, print, units, cuts, onToggle, onMove }: RunProps) {
  const widest = Math.max(...sizes.map((size) => size.chestMm));
  // a press without a move parts the run there, or joins it again
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const dropped = ({ active, over }: DragEndEvent) => {
    if (over && over.id !== active.id) onMove(Number(active.id), Number(over.id));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={pointerWithin} onDragEnd={dropped}>
      <ol className="flex items-end overflow-x-auto pt-2">
        {sizes.map(({ size, chestMm, pieces }, i) => {
          const measures = blankMeasures(blank, size);
          const outline = outlineOf(measures, PANEL_OF[print.position]);
          const group = split.groups.find((group) => group.sizes.includes(size));
          const width = group?.widthMm ?? print.widthMm;
          const height = (print.heightMm * width) / print.widthMm;
          const length = measures.measures.length ?? 700;
          const top = (measures.measures.frontDrop ?? 80) + 60;
          const bad = split.outside.includes(size);
          return (
            <li key={size} className="flex items-end" data-size={size}>
              {i > 0 && (
                <Divider
                  at={i}
                  on={cuts.includes(i)}
                  label={`Part the run between ${sizes[i - 1]?.size} and ${size}`}
                  onToggle={() => onToggle(i)}
                />
              )}
              <figure className="m-0 text-center">
                <svg
                  width={Math.round((chestMm / widest) * 104)}
                  height={Math.round((length / widest) * 104)}
                  viewBox={`${-chestMm / 2} 0 ${chestMm} ${length}`}
                  aria-hidden="true"
                >
                  {outline && <path d={d(outline)} fill="var(--color-sheet)" stroke="var(--color-ink)" strokeWidth="6" />}
                  <rect x={-width / 2} y={top} width={width} height={height} fill={bad ? 'var(--color-brick)' : 'var(--color-teal)'} />
                </svg>
                <figcaption className="leading-tight">
                  <b>{size}</b> <span className="figure">{pieces}</span>
                  <span className={`label figure block ${bad ? 'text-brick' : ''}`}>{Math.round((100 * width) / chestMm)} %</span>
                  <span className="figure block text-sm font-semibold">{formatTape(width, units)}</span>
                </figcaption>
              </figure>
            </li>
          );
        })}
      </ol>
    </DndContext>
  );
}

interface DividerProps {
  at: number;
  on: boolean;
  label: string;
  onToggle: () => void;
}

/** Between two sizes: pressed, the print changes there or no longer does; dragged, the change moves to where it is let go. */
function Divider({ at, on, label, onToggle }: DividerProps) {
  const id = String(at);
  const { setNodeRef: setDropRef, isOver } = useDroppable({ id });
  const { setNodeRef, listeners, transform } = useDraggable({ id, disabled: !on });
  return (
    <button
      ref={setDropRef}
      type="button"
      aria-pressed={on}
      aria-label={label}
      {...listeners}
      className={`group flex min-h-32 w-11 touch-none items-stretch justify-center self-stretch ${on ? 'cursor-ew-resize' : ''} ${isOver ? 'bg-amber/30' : ''}`}
      onClick={onToggle}
    >
      <span
        ref={setNodeRef}
        aria-hidden="true"
        style={{ transform: CSS.Translate.toString(transform && { ...transform, y: 0 }) }}
        className={`${on ? 'w-1.5 bg-amber outline outline-1 outline-ink' : 'w-0 border-l border-dashed border-line group-hover:border-ink'}`}
      />
    </button>
  );
}
