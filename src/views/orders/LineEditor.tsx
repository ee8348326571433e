/** One line as it is typed in: how many, of what, with which transfer, where, on which press. */
import { useEffect, useState } from 'react';
import { ProblemError, type ShelfReply } from '../../contract';
import type { Line } from '../../core/card';
import { describeComposition, FAMILIES, POSITIONS, type Position } from '../../core/materials';
import type { Press } from '../../core/press';
import { formatQuantity, type HouseUnits, houseUnit } from '../../core/units';
import { ChoiceField, TextField } from '../../ui/Field';
import { newId } from '../../ui/newId';
import { QuantityField } from '../../ui/QuantityField';
import { errorWords } from '../../ui/query';
import { PickField } from './PickField';

export interface LineDraft {
  id: string;
  count: string;
  blankId: string | null;
  size: string;
  productId: string | null;
  position: Position;
  artName: string;
  widthMm: number | null;
  heightMm: number | null;
  pressId: string;
  choices: Line['print']['choices'];
}

/** A new line starts from the one before it, with another size to fill in. */
export function draftFrom(line: Line | undefined, presses: Press[], isNew: boolean): LineDraft {
  const print = line?.print;
  return {
    id: line && !isNew ? line.id : newId(),
    count: line && !isNew ? String(line.count) : '',
    blankId: line?.blankId ?? null,
    size: line && !isNew ? line.size : '',
    productId: print?.productId ?? null,
    position: print?.position ?? 'full front',
    artName: print?.artName ?? '',
    widthMm: print?.widthMm ?? null,
    heightMm: print?.heightMm ?? null,
    pressId: line?.pressId ?? presses[0]?.id ?? '',
    choices: line && !isNew ? line.print.choices : {},
  };
}

type Faults = Partial<Record<'count' | 'blankId' | 'size' | 'productId' | 'artName' | 'widthMm' | 'heightMm', string>>;

function faultsOf(draft: LineDraft): Faults {
  const faults: Faults = {};
  if (!/^\d+$/.test(draft.count.trim()) || Number(draft.count) < 1 || Number(draft.count) > 1000)
    faults.count = 'How many pieces? A whole number from 1 to 1000.';
  if (!draft.blankId) faults.blankId = 'Pick a blank from the shelf.';
  if (!draft.size) faults.size = 'Pick a size.';
  if (!draft.productId) faults.productId = 'Pick a transfer from the shelf.';
  if (draft.artName.trim() === '') faults.artName = 'Name the art, as you call it.';
  if (!draft.widthMm || draft.widthMm <= 0) faults.widthMm = 'How wide is the art?';
  if (!draft.heightMm || draft.heightMm <= 0) faults.heightMm = 'How tall is the art?';
  return faults;
}

function lineOf(draft: LineDraft): Line {
  const { id, blankId, size, pressId, productId, position, artName, widthMm, heightMm, choices } = draft;
  return {
    id,
    blankId: blankId ?? '',
    size,
    count: Number(draft.count),
    pressId,
    print: { productId: productId ?? '', position, artName: artName.trim(), widthMm: widthMm ?? 0, heightMm: heightMm ?? 0, choices },
  };
}

interface LineEditorProps {
  start: LineDraft;
  isNew: boolean;
  shelf: ShelfReply;
  presses: Press[];
  house: HouseUnits;
  fault: unknown;
  onSave: (line: Line) => Promise<boolean>;
  onRemove: (() => void) | null;
}

export function LineEditor({ start, isNew, shelf, presses, house, fault, onSave, onRemove }: LineEditorProps) {
  const [draft, setDraft] = useState(start);
  const [faults, setFaults] = useState<Faults>({});
  useEffect(() => {
    setDraft(start);
    setFaults({});
  }, [start]);
  const set =
    <K extends keyof LineDraft>(key: K) =>
    (value: LineDraft[K]) =>
      setDraft((now) => ({ ...now, [key]: value }));
  const blank = shelf.blanks.find((one) => one.id === draft.blankId);
  const fabric = shelf.fabrics.find((one) => one.id === blank?.fabricId);
  const product = shelf.products.find((one) => one.id === draft.productId);
  const press = presses.find((one) => one.id === draft.pressId);
  const length = houseUnit('length', house).first;
  const submit = async (event: { preventDefault: () => void }) => {
    event.preventDefault();
    const found = faultsOf(draft);
    setFaults(found);
    if (Object.keys(found).length === 0) await onSave(lineOf(draft));
  };
  const serverWords =
    fault instanceof ProblemError && fault.problem.errors ? fault.problem.errors.map((e) => `${e.field}: ${e.message}`).join(' ') : null;
  return (
    <form
      onSubmit={(event) => void submit(event)}
      className="grid max-w-[860px] content-start grid-cols-6 gap-x-5 gap-y-1 px-6 py-4"
      aria-label={isNew ? 'New line' : 'Line'}
    >
      <h2 className="col-span-6 pb-2 text-lg">{isNew ? 'A new line: pieces alike, with one print alike' : 'This line'}</h2>
      <div className="col-span-1">
        <TextField label="Pieces" inputMode="numeric" value={draft.count} onChange={set('count')} problem={faults.count} autoFocus />
      </div>
      <div className="col-span-3">
        <PickField
          label="Blank"
          value={draft.blankId}
          onChange={set('blankId')}
          problem={faults.blankId}
          items={shelf.blanks.map((one) => ({
            id: one.id,
            name: one.name,
            detail: `${one.colour}, ${shelf.fabrics.find((f) => f.id === one.fabricId)?.name ?? ''}`,
          }))}
        />
        <p className="label min-h-6 pt-0.5">{fabric ? describeComposition(fabric.composition) : ''}</p>
      </div>
      <div className="col-span-2">
        <ChoiceField
          label="Size"
          value={draft.size}
          onChange={set('size')}
          problem={faults.size}
          options={[
            { value: '', text: blank ? 'pick a size' : 'pick a blank first' },
            ...(blank?.sizes ?? []).map((size) => ({ value: size, text: size })),
          ]}
        />
      </div>
      <div className="col-span-4">
        <PickField
          label="Transfer"
          value={draft.productId}
          onChange={set('productId')}
          problem={faults.productId}
          items={shelf.products.map((one) => ({ id: one.id, name: one.name, detail: `${FAMILIES[one.familyId].name}, ${one.maker}` }))}
        />
        <p className="label min-h-6 pt-0.5">{product ? `${FAMILIES[product.familyId].name}, peel ${product.peel}` : ''}</p>
      </div>
      <div className="col-span-2">
        <ChoiceField
          label="Press"
          value={draft.pressId}
          onChange={set('pressId')}
          options={presses.map((one) => ({ value: one.id, text: one.name }))}
          hint={press ? (press.calibration ? `measured ${press.calibration.on}` : 'not measured') : ''}
        />
      </div>
      <div className="col-span-2">
        <ChoiceField
          label="Position"
          value={draft.position}
          onChange={set('position')}
          options={POSITIONS.map((value) => ({ value, text: value }))}
        />
      </div>
      <div className="col-span-4">
        <TextField label="Art" value={draft.artName} onChange={set('artName')} problem={faults.artName} hint="What you call the picture" />
      </div>
      <div className="col-span-2">
        <QuantityField
          label="Art width"
          kind="length"
          unit={length}
          house={house}
          value={draft.widthMm}
          onChange={set('widthMm')}
          min={1}
          max={2000}
          problem={faults.widthMm}
        />
      </div>
      <div className="col-span-2">
        <QuantityField
          label="Art height"
          kind="length"
          unit={length}
          house={house}
          value={draft.heightMm}
          onChange={set('heightMm')}
          min={1}
          max={2000}
          problem={faults.heightMm}
        />
      </div>
      <p className="label col-span-2 pt-6">
        {press
          ? `Platen ${formatQuantity(press.platen.widthMm, length, length === 'in' ? 1 : 0)} by ${formatQuantity(press.platen.heightMm, length, length === 'in' ? 1 : 0)}`
          : ''}
      </p>
      {fault ? (
        <p role="alert" className="col-span-6 border-l-4 border-brick pl-3 text-brick">
          {serverWords ?? errorWords(fault)} What you typed is still here.
        </p>
      ) : null}
      <div className="col-span-6 flex items-center gap-4 pt-3">
        <button type="submit" className="act act-main">
          {isNew ? 'Add the line, see its card' : 'Save the line'}
        </button>
        {onRemove && (
          <button type="button" className="act act-quiet" onClick={onRemove}>
            Remove this line
          </button>
        )}
      </div>
    </form>
  );
}
