/** The stack under the press, layer by layer: laid in from the shelf, moved by drag or by key, thinned, taken out. */
import { useRef, useState } from 'react';
import type { StackLayer } from '../../core/heat';
import { TextField } from '../../ui/Field';
import { changed, laidIn, moved, PALETTE, takenOut, type Variant } from './variant';

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
  const { stack } = variant.ask.piece;
  const [dragged, setDragged] = useState<number | null>(null);
  const [open, setOpen] = useState<number | null>(null);
  const list = useRef<HTMLOListElement>(null);
  const move = (i: number, to: number) => {
    if (to < 0 || to >= stack.length || to === i) return;
    onChange(moved(variant, i, to), `${stack[i]?.name ?? 'layer'} moved`);
    requestAnimationFrame(() => list.current?.querySelectorAll<HTMLButtonElement>('button[data-layer]')[to]?.focus());
  };
  const take = (layer: StackLayer) => onChange(laidIn(variant, layer), `${layer.name} laid in`);
  return (
    <section aria-label="Stack">
      <h2 className="pb-1">Under the press</h2>
      <p className="label pb-2">From the top. Drag a layer, or move it with Alt and the arrow keys; Delete takes it out.</p>
      <ol ref={list} className="border-y-[10px] border-[#59656d]" aria-label="Layers, from the top">
        {stack.map((layer, i) => (
          <li key={`${i} ${layer.name}`}>
            <button
              type="button"
              data-layer
              draggable
              aria-expanded={open === i}
              className={`flex min-h-12 w-full cursor-grab items-center justify-between gap-2 border-2 px-3 text-left ${dragged === i ? 'border-amber' : 'border-transparent'} ${layer.role === 'transfer' ? 'text-white' : ''}`}
              style={{ background: FILL[layer.role] }}
              onClick={() => setOpen(open === i ? null : i)}
              onDragStart={(event) => {
                event.dataTransfer.setData('text/plain', String(i));
                event.dataTransfer.effectAllowed = 'move';
                setDragged(i);
              }}
              onDragOver={(event) => event.preventDefault()}
              onDrop={(event) => {
                event.preventDefault();
                const from = Number(event.dataTransfer.getData('text/plain'));
                setDragged(null);
                if (Number.isInteger(from)) move(from, i);
              }}
              onDragEnd={() => setDragged(null)}
              onKeyDown={(event) => {
                if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
                  event.preventDefault();
                  move(i, i + (event.key === 'ArrowUp' ? -1 : 1));
                } else if (event.key === 'Delete') onChange(takenOut(variant, i), `${layer.name} taken out`);
              }}
            >
              <span className="min-w-0">
                <span className="block truncate">{layer.name}</span>
                {layer.waterKgM2 ? (
                  <span className="figure block text-sm">{`${(layer.waterKgM2 * 1000).toFixed(0)} g/m² water`}</span>
                ) : null}
              </span>
              <span className="figure shrink-0 text-sm">{layer.thicknessMm.toFixed(2)} mm</span>
            </button>
            {open === i && <LayerFields variant={variant} i={i} layer={layer} onChange={onChange} />}
          </li>
        ))}
      </ol>
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
        Take it out
      </button>
    </div>
  );
}
