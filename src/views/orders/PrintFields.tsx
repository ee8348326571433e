/** One print of a line: which transfer in how many layers, what art, where, on which press. */

import type { Reply, ShelfReply } from '../../contract';
import { type Blank, isSided, POSITIONS, type Position, SIDES, USUAL_POSITIONS } from '../../core/materials';
import { formatQuantity, type HouseUnits, houseUnit, WIDTH_AND_HEIGHT } from '../../core/units';
import { Check } from '../../ui/Check';
import { ChoiceField, TextField } from '../../ui/Field';
import { QuantityField } from '../../ui/QuantityField';
import { LayerRows } from './LayerRows';
import { LayFields } from './LayFields';
import { ART_KIND_OPTIONS, type Faults, type PrintDraft, pressFor, withBefore, withLay, withLayer } from './lineDraft';

export type PressRow = Reply<'presses'>['presses'][number];

interface PrintFieldsProps {
  print: PrintDraft;
  index: number;
  /** The print before it on the line; undefined: it is the first. */
  before: PrintDraft | undefined;
  /** It has designs beside it in its closing: where it lies among them is asked. */
  isBeside: boolean;
  shelf: ShelfReply;
  presses: PressRow[];
  blank: Blank | undefined;
  house: HouseUnits;
  faults: Faults;
  /** Where transfers are ranked for this print. */
  which: string;
  onChange: (print: PrintDraft) => void;
}

const AT_RULE = { xMm: 0, yMm: 0 };
const MOVED = [
  { field: 'xMm', label: 'Right of its usual place' },
  { field: 'yMm', label: 'Below its usual place' },
] as const;

/** Usual places of this kind of blank first, then every other. */
function positionsFor(blank: Blank | undefined): Position[] {
  const usual: readonly Position[] = blank ? USUAL_POSITIONS[blank.kind] : [];
  return [...usual, ...POSITIONS.filter((position) => !usual.includes(position))];
}

export function PrintFields({ print, index, before, isBeside, shelf, presses, blank, house, faults, which, onChange }: PrintFieldsProps) {
  const patch = (part: Partial<PrintDraft>) => onChange({ ...print, ...part });
  const problem = (field: string) => faults[`prints.${index}.${field}`];
  const length = houseUnit('length', house).first;
  const pressId = pressFor(
    print,
    presses.map((row) => row.press),
    blank,
  );
  const row = presses.find(({ press }) => press.id === pressId);
  const side = (mm: number) => formatQuantity(mm, length, length === 'in' ? 1 : 0);
  return (
    <>
      <div className="col-span-6">
        <LayerRows
          layers={print.layers}
          products={shelf.products}
          problems={print.layers.map((_, i) => problem(`layers.${i}`))}
          onChange={(layers) => patch({ layers })}
        />
      </div>
      <div className="col-span-6 -mt-2 flex flex-wrap items-center gap-x-2 pb-2">
        <button type="button" className="act act-quiet" onClick={() => onChange(withLayer(print))}>
          + layer over it
        </button>
        {blank && (
          <a className="act act-quiet font-normal underline" href={which}>
            Which transfer for this?
          </a>
        )}
      </div>
      <div className="col-span-2 narrow:col-span-3">
        <ChoiceField
          label="Position"
          value={print.position}
          onChange={(position) => {
            const { side: _, ...rest } = print;
            onChange({ ...rest, position });
          }}
          problem={problem('position')}
          options={positionsFor(blank).map((value) => ({ value, text: value }))}
        />
      </div>
      {isSided(print.position) && (
        <div className="col-span-2 narrow:col-span-3">
          <ChoiceField
            label="Which one, as worn"
            value={print.side ?? ''}
            onChange={(value) => {
              const { side: _, ...rest } = print;
              onChange(value === '' ? rest : { ...rest, side: value });
            }}
            options={[{ value: '', text: 'not said' }, ...SIDES.map((value) => ({ value, text: value }))]}
          />
        </div>
      )}
      <div className="col-span-2 narrow:col-span-3">
        <TextField
          label="Art"
          value={print.artName}
          onChange={(artName) => patch({ artName })}
          problem={problem('artName')}
          hint="What you call the picture"
        />
      </div>
      <div className="col-span-2 narrow:col-span-3">
        <ChoiceField label="Kind of art" value={print.artKind} onChange={(artKind) => patch({ artKind })} options={ART_KIND_OPTIONS} />
      </div>
      {WIDTH_AND_HEIGHT.map((field) => (
        <div key={field} className="col-span-2 narrow:col-span-3">
          <QuantityField
            label={field === 'widthMm' ? 'Art width' : 'Art height'}
            kind="length"
            unit={length}
            house={house}
            value={print[field]}
            onChange={(value) => patch({ [field]: value })}
            min={1}
            max={2000}
            problem={problem(field)}
          />
        </div>
      ))}
      <div className="col-span-2 narrow:col-span-3">
        <ChoiceField
          label="Press"
          value={pressId}
          onChange={(id) => patch({ pressId: id })}
          options={presses.map(({ press }) => ({ value: press.id, text: press.name }))}
          hint={
            row
              ? `platen ${side(row.press.platen.widthMm)} by ${side(row.press.platen.heightMm)}, ${row.measuredOn ? `measured ${row.measuredOn}` : 'not measured'}`
              : ''
          }
        />
      </div>
      {isBeside &&
        MOVED.map(({ field, label }) => (
          <div key={field} className="col-span-2 narrow:col-span-3">
            <QuantityField
              label={label}
              kind="length"
              unit={length}
              house={house}
              value={(print.moved ?? AT_RULE)[field]}
              onChange={(value) => patch({ moved: { ...(print.moved ?? AT_RULE), [field]: value ?? 0 } })}
              min={-1000}
              max={1000}
              problem={problem('moved')}
            />
          </div>
        ))}
      <LayFields print={print} house={house} problem={problem('lay')} onChange={(lay) => onChange(withLay(print, lay))} />
      <fieldset className="col-span-6 grid grid-cols-2 gap-x-5">
        <legend className="sr-only">What the art is like</legend>
        <Check on={print.smallType} onChange={(smallType) => patch({ smallType })}>
          It has small type
        </Check>
        <Check on={print.looseParts} onChange={(looseParts) => patch({ looseParts })}>
          Several loose parts
        </Check>
        <Check on={print.crossesSeam} onChange={(crossesSeam) => patch({ crossesSeam })}>
          Meant to run over a seam
        </Check>
        {before && (
          <Check on={print.withBefore === true} onChange={(on) => onChange(withBefore(print, before, on))}>
            In one closing with {before.artName || 'the print before it'}
          </Check>
        )}
        {problem('withBefore') && (
          <p role="alert" className="text-brick">
            {problem('withBefore')}
          </p>
        )}
        {print.layers.length > 1 && (
          <Check on={print.embossed} onChange={(embossed) => patch({ embossed })}>
            Embossed: pressed into its lowest layer from behind
          </Check>
        )}
      </fieldset>
    </>
  );
}
