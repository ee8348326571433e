/** One line as it is typed in: how many, of what, with which prints. */
import { useState } from 'react';
import { ProblemError, type ShelfReply } from '../../contract';
import { describeMaterial } from '../../core/materials';
import { closingOf, type Line } from '../../core/order';
import type { HouseUnits } from '../../core/units';
import { Fault } from '../../ui/Fault';
import { ChoiceField, TextField } from '../../ui/Field';
import { Tabs } from '../../ui/TabBar';
import { useFetched } from '../../ui/useFetched';
import {
  type Faults,
  type LineDraft,
  lineOf,
  type PrintDraft,
  type Taken,
  withBlank,
  withoutPrint,
  withPrint,
  withProduct,
} from './lineDraft';
import { PickField } from './PickField';
import { type PressRow, PrintFields } from './PrintFields';
import { printName } from './printName';
import { useStoredLine } from './storedDraft';

const rosterPart = () => import('./RosterField');

interface LineEditorProps {
  /** Names this line where drafts are kept. */
  slot: string;
  /** A transfer found for one of its prints. */
  take: Taken | null;
  /** Where its way to find one leads back to. */
  orderId: string;
  start: LineDraft;
  isNew: boolean;
  shelf: ShelfReply;
  presses: PressRow[];
  /** The other lines of the order, whose pieces may lie in the same closing. */
  others: Line[];
  house: HouseUnits;
  fault: unknown;
  onSave: (line: Line) => Promise<boolean>;
  onRemove: (() => void) | null;
}

/** What the server says of fields of this line, without the line's own place in the order. */
function serverFaults(fault: unknown): Faults {
  if (!(fault instanceof ProblemError)) return {};
  return Object.fromEntries(Object.entries(fault.fields).map(([field, words]) => [field.replace(/^lines\.\d+\./, ''), words]));
}

/** The page that ranks transfers for a print, with the way back. */
function whichHref(orderId: string, line: string, print: PrintDraft, draft: LineDraft): string {
  const { artKind, widthMm, heightMm } = print;
  const count = Number(draft.count) > 0 ? draft.count.trim() : '';
  const asked = { blank: draft.blankId ?? '', count, art: artKind, w: String(widthMm ?? ''), h: String(heightMm ?? '') };
  return `/shelf/which?${new URLSearchParams({ ...asked, order: orderId, line, print: print.key })}`;
}

export function LineEditor({ slot, take, orderId, start, isNew, shelf, presses, others, house, fault, onSave, onRemove }: LineEditorProps) {
  const [isNamed, setIsNamed] = useState(start.roster.length > 0);
  const roster = useFetched(rosterPart, isNamed);
  const form = useStoredLine(slot, start, (begun) => (take ? withProduct(begun, take) : begun));
  const { doc: draft, patch, replace } = form;
  const [at, setAt] = useState(0);
  const faults: Faults = { ...serverFaults(fault), ...form.fields };
  const blank = shelf.blanks.find((blank) => blank.id === draft.blankId);
  const fabric = shelf.fabrics.find((fabric) => fabric.id === blank?.fabricId);
  const print = draft.prints[at] ?? draft.prints[0];
  const setPrint = (changed: PrintDraft) => patch({ prints: draft.prints.map((print) => (print.key === changed.key ? changed : print)) });
  const save = (taken: LineDraft) =>
    onSave(
      lineOf(
        taken,
        presses.map((row) => row.press),
        blank,
      ),
    );
  /** The first print in which something is missing comes to the front. */
  const showMissing = (missing: Faults) => {
    const inPrint = Object.keys(missing)
      .map((field) => /^prints\.(\d+)/.exec(field)?.[1])
      .find((index) => index !== undefined);
    if (inPrint !== undefined) setAt(Number(inPrint));
  };
  const pieces = /^\d+$/.test(draft.count.trim()) && Number(draft.count) > 0 ? Number(draft.count) : null;
  return (
    <form
      onSubmit={form.handle(save, showMissing)}
      className="grid max-w-[55rem] content-start grid-cols-6 gap-x-5 gap-y-1 px-6 py-4 narrow:gap-x-3 narrow:px-4"
      aria-label={isNew ? 'New line' : 'Line'}
    >
      <h2 className="col-span-6 pb-2 text-lg">{isNew ? 'A new line: pieces alike, with prints alike' : 'This line'}</h2>
      <div className="col-span-1 narrow:col-span-2">
        <TextField
          label="Pieces"
          inputMode="numeric"
          value={draft.count}
          onChange={(count) => patch({ count })}
          problem={faults.count}
          autoFocus
        />
      </div>
      <div className="col-span-3 narrow:col-span-6">
        <PickField
          label="Blank"
          value={draft.blankId}
          onChange={(id) => {
            const picked = shelf.blanks.find((blank) => blank.id === id);
            if (picked) replace(withBlank(draft, picked));
          }}
          problem={faults.blankId}
          items={shelf.blanks
            .filter((blank) => !blank.retiredOn || blank.id === draft.blankId)
            .map((blank) => ({
              id: blank.id,
              name: blank.name,
              detail: `${blank.colour}, ${shelf.fabrics.find((f) => f.id === blank.fabricId)?.name ?? ''}`,
            }))}
        />
        <p className="label min-h-6 pt-0.5 pb-1.5">{fabric ? describeMaterial(fabric) : ''}</p>
      </div>
      <div className="col-span-2 narrow:col-span-3">
        <ChoiceField
          label="Size"
          value={draft.size}
          onChange={(size) => patch({ size })}
          problem={faults.size}
          options={[
            { value: '', text: blank ? 'pick a size' : 'pick a blank first' },
            ...(blank?.sizes ?? []).map((size) => ({ value: size, text: size })),
          ]}
        />
      </div>
      <Tabs
        label="Its prints"
        className="rule-top col-span-6 pt-2"
        tabs={draft.prints.map((print, i) => ({ id: print.key, name: `${i + 1}. ${printName(print, draft.prints) || 'new'}` }))}
        selected={print?.key ?? ''}
        onSelect={(key) => setAt(draft.prints.findIndex((print) => print.key === key))}
        hidesOne
        aside={<PrintActs draft={draft} at={at} onGo={setAt} onDraft={replace} />}
      >
        {print && (
          <PrintFields
            key={print.key}
            print={print}
            index={draft.prints.indexOf(print)}
            before={draft.prints[draft.prints.indexOf(print) - 1]}
            isBeside={closingOf(draft.prints, print.key).length > 1}
            shelf={shelf}
            presses={presses}
            blank={blank}
            house={house}
            faults={faults}
            which={whichHref(orderId, isNew ? 'new' : draft.id, print, draft)}
            onChange={setPrint}
          />
        )}
      </Tabs>
      <div className="rule-top col-span-6 grid grid-cols-6 gap-x-5 pt-2">
        <div className="col-span-2 narrow:col-span-3">
          <TextField
            label="How many in one closing"
            inputMode="numeric"
            value={draft.perClosing}
            onChange={(perClosing) => patch({ perClosing })}
            problem={faults.perClosing}
          />
        </div>
        {others.length > 0 && (
          <div className="col-span-4 narrow:col-span-6">
            <ChoiceField
              label="Shares its closings with"
              value={draft.sharesWith}
              onChange={(sharesWith) => patch({ sharesWith })}
              problem={faults.sharesWith}
              options={[
                { value: '', text: 'no other line' },
                ...others.map((line) => ({
                  value: line.id,
                  text: `${line.count} ${shelf.blanks.find((b) => b.id === line.blankId)?.name ?? ''} ${line.size}`,
                })),
              ]}
            />
          </div>
        )}
        <div className="col-span-6">
          {!isNamed && (
            <button type="button" className="act act-quiet" onClick={() => setIsNamed(true)}>
              + a number or name on every piece
            </button>
          )}
          {roster && (
            <roster.RosterField
              roster={draft.roster}
              shared={draft.sharedNumbers}
              pieces={pieces}
              problem={faults.roster}
              onChange={(roster, sharedNumbers) => patch({ roster, sharedNumbers })}
            />
          )}
        </div>
      </div>
      <Fault of={fault} className="col-span-6 border-l-4 border-brick pl-3 text-brick" more="What you typed is still here." />
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

/** The way to a print more, and to one less. */
function PrintActs({
  draft,
  at,
  onGo,
  onDraft,
}: {
  draft: LineDraft;
  at: number;
  onGo: (at: number) => void;
  onDraft: (draft: LineDraft) => void;
}) {
  const remove = () => {
    onDraft(withoutPrint(draft, at));
    onGo(0);
  };
  return (
    <>
      <button
        type="button"
        className="act act-quiet"
        onClick={() => {
          onDraft(withPrint(draft));
          onGo(draft.prints.length);
        }}
      >
        + another print on it
      </button>
      {draft.prints.length > 1 && (
        <button type="button" className="act act-quiet font-normal" onClick={remove}>
          Remove this print
        </button>
      )}
    </>
  );
}
