/** The stack under the press, layer by layer: laid in from the shelf, moved by drag or by key, thinned, taken out. */
import { closestCenter, DndContext, type DragEndEvent, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { type ReactNode, useRef, useState } from 'react';
import type { StackLayer } from '../../core/heat';
import { TextField } from '../../ui/Field';
import { Term } from '../shell/Term';
import { changed, moved, PALETTE, takenOut, type Variant, withLayer } from './variant';

const FILL: Record<StackLayer['role'], string> = {
  'pad over': '#e6cdbb',
  cover: '#f0e4c8',
  carrier: '#dfe6ea',
  transfer: '#0b5c62',
  fabric: '#c3cdb9',
  underlay: '#ead9e6',
  pad: '#d9b9a4',
};

interface StackEditorProps {
  variant: Variant;
  /** Fabrics of the shelf, as layers. */
  fabrics: readonly StackLayer[];
  onChange: (next: Variant, what: string) => void;
}

export function StackEditor({ variant, fabrics, onChange }: StackEditorProps) {
  const { stack } = variant.query.piece;
  const [open, setOpen] = useState<number | null>(null);
  const list = useRef<HTMLOListElement>(null);
  const move = (i: number, to: number) => {
    if (to < 0 || to >= stack.length || to === i) return;
    onChange(moved(variant, i, to), `${stack[i]?.name ?? 'layer'} moved`);
    requestAnimationFrame(() => list.current?.querySelectorAll<HTMLButtonElement>('button[data-layer]')[to]?.focus());
  };
  // a press without a move opens the layer; keys move it by themselves
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const dropped = ({ active, over }: DragEndEvent) => {
    if (over) move(Number(active.id), Number(over.id));
  };
  const places = stack.map((_, i) => String(i));
  const take = (layer: StackLayer) => onChange(withLayer(variant, layer), `${layer.name} laid in`);
  return (
    <section aria-label="Stack">
      <h2 className="pb-1">
        <Term of="stack">Under the press</Term>
      </h2>
      <p className="label pb-2">From the top. Drag a layer, or move it with Alt and the arrow keys; Delete takes it out.</p>
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
        <SortableContext items={places} strategy={verticalListSortingStrategy}>
          <ol ref={list} className="border-y-[10px] border-[#59656d]" aria-label="Layers, from the top">
            {stack.map((layer, i) => (
              <LayerRow
                key={`${i} ${layer.name}`}
                i={i}
                layer={layer}
                open={open === i}
                onOpen={() => setOpen(open === i ? null : i)}
                onMove={(to) => move(i, to)}
                onTakeOut={() => onChange(takenOut(variant, i), `${layer.name} taken out`)}
              >
                <LayerFields variant={variant} i={i} layer={layer} onChange={onChange} />
              </LayerRow>
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <label className="label mt-3 block">
        Lay in
        <select
          className="entry mt-1"
          value=""
          onChange={(event) => {
            const layer = [...PALETTE, ...fabrics][Number(event.target.value)];
            if (layer) take(layer);
          }}
        >
          <option value="" disabled>
            a sheet, pad, pillow or cloth …
          </option>
          {[...PALETTE, ...fabrics].map((layer, i) => (
            <option key={`${layer.role} ${layer.name}`} value={i}>
              {layer.name}
              {layer.role === 'cover' ? ', over it' : layer.role === 'underlay' ? ', under it' : ''}
            </option>
          ))}
        </select>
      </label>
    </section>
  );
}

interface LayerRowProps {
  /** Its place from the top. */
  i: number;
  layer: StackLayer;
  open: boolean;
  onOpen: () => void;
  onMove: (to: number) => void;
  onTakeOut: () => void;
  /** Its own figures, shown while it is open. */
  children: ReactNode;
}

function LayerRow({ i, layer, open, onOpen, onMove, onTakeOut, children }: LayerRowProps) {
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id: String(i) });
  return (
    <li ref={setNodeRef} style={{ transform: CSS.Translate.toString(transform), transition }}>
      <button
        type="button"
        data-layer
        {...listeners}
        aria-expanded={open}
        className={`flex min-h-12 w-full cursor-grab touch-manipulation items-center justify-between gap-2 border-2 px-3 text-left ${isDragging ? 'border-amber' : 'border-transparent'} ${layer.role === 'transfer' ? 'text-white' : 'text-print'}`}
        style={{ background: FILL[layer.role] }}
        onClick={onOpen}
        onKeyDown={(event) => {
          if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
            event.preventDefault();
            onMove(i + (event.key === 'ArrowUp' ? -1 : 1));
          } else if (event.key === 'Delete') onTakeOut();
        }}
      >
        <span className="min-w-0">
          <span className="block">{layer.name}</span>
          {layer.waterKgM2 ? <span className="figure block text-sm">{`${(layer.waterKgM2 * 1000).toFixed(0)} g/m² water`}</span> : null}
        </span>
        <span className="figure shrink-0 text-sm">{layer.thicknessMm.toFixed(2)} mm</span>
      </button>
      {open && children}
    </li>
  );
}

/** A layer's own figures: what cannot be reckoned with is said and not taken. */
function LayerFields({
  variant,
  i,
  layer,
  onChange,
}: {
  variant: Variant;
  i: number;
  layer: StackLayer;
  onChange: StackEditorProps['onChange'];
}) {
  const [thickness, setThickness] = useState(String(layer.thicknessMm));
  const [water, setWater] = useState(String(Math.round((layer.waterKgM2 ?? 0) * 1000)));
  const number = (text: string) => Number(text.trim().replace(',', '.'));
  const thick = number(thickness);
  const gsm = number(water);
  return (
    <div className="grid grid-cols-2 gap-x-3 bg-sheet px-3 pt-2">
      <TextField
        label="Thickness, mm"
        className="entry figure"
        inputMode="decimal"
        value={thickness}
        problem={thick >= 0.002 && thick <= 200 ? undefined : 'From 0.002 to 200 mm.'}
        onChange={(text) => {
          setThickness(text);
          const value = number(text);
          if (value >= 0.002 && value <= 200) onChange(changed(variant, i, { thicknessMm: value }), `${layer.name} set to ${value} mm`);
        }}
      />
      {layer.role === 'fabric' ? (
        <TextField
          label="Water, g/m²"
          className="entry figure"
          inputMode="decimal"
          value={water}
          problem={gsm >= 0 && gsm <= 5000 ? undefined : 'From 0 to 5000 g/m².'}
          onChange={(text) => {
            setWater(text);
            const value = number(text);
            if (text.trim() !== '' && value >= 0 && value <= 5000)
              onChange(changed(variant, i, { waterKgM2: value / 1000 }), `${layer.name} made ${value === 0 ? 'dry' : 'damp'}`);
          }}
        />
      ) : (
        <span />
      )}
      <button
        type="button"
        className="act act-quiet col-span-2 justify-self-start underline"
        onClick={() => onChange(takenOut(variant, i), `${layer.name} taken out`)}
      >
        Remove
      </button>
    </div>
  );
}
