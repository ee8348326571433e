/** Lists in and out of the shelf: what an import would change is shown before it does, and all of it or none is done. */

import { useState } from 'react';
import { API, type ImportReply } from '../../contract';
import { importFile } from '../../contract/import';
import { STALE_AFTER_ALL } from '../../contract/paths';
import type { ShelfKind } from '../../core/sheet';
import { errorWords, refresh } from '../../ui/query';
import { kindOf } from './kinds';

const MOST_SHOWN = 12;

interface Chosen {
  name: string;
  bytes: Blob;
}

/** @param kind what the rows of a CSV are */
export function InAndOut({ kind }: { kind: ShelfKind | 'pressings' }) {
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [plan, setPlan] = useState<ImportReply | null>(null);
  const [progress, setProgress] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const send = async (file: Chosen, apply: boolean) => {
    setFault(null);
    try {
      const reply = await importFile({ kind, name: file.name, bytes: file.bytes, apply }, (done, of) =>
        setProgress(`${done} of ${of} lines read`),
      );
      setPlan(reply);
      if (reply.applied) {
        await refresh(...STALE_AFTER_ALL);
        setChosen(null);
      }
    } catch (error) {
      setPlan(null);
      setFault(errorWords(error));
    } finally {
      setProgress(null);
    }
  };
  const choose = async (file: File | undefined) => {
    if (!file) return;
    const read = { name: file.name, bytes: file };
    setChosen(read);
    await send(read, false);
  };
  return (
    <section className="my-2 border-l-4 border-teal bg-sheet px-4 py-3" aria-label="Export, import">
      <div className="flex flex-wrap items-center gap-3">
        {kind !== 'pressings' && (
          <a className="act" href={`${API}/shelf/${kind}.csv`} download>
            Export {kindOf(kind).many.toLowerCase()} as CSV
          </a>
        )}
        <a className="act" href={`${API}/shop.json`} download="shop.json">
          Export the whole shop as JSON
        </a>
        <label className="act act-main">
          Import a CSV or JSON file
          <input
            type="file"
            accept=".csv,.json,text/csv,application/json"
            className="sr-only"
            onChange={(event) => void choose(event.target.files?.[0])}
          />
        </label>
        <span role="status">{progress}</span>
      </div>
      {fault && (
        <p role="alert" className="pt-2 text-brick">
          {fault}
        </p>
      )}
      {plan && (
        <Plan
          plan={plan}
          name={chosen?.name ?? ''}
          onApply={chosen ? () => void send(chosen, true) : null}
          onDrop={() => {
            setPlan(null);
            setChosen(null);
          }}
        />
      )}
    </section>
  );
}

/** More than one of what does not just grow an s. */
const MANY: Record<string, string> = {
  press: 'presses',
  house: 'house rules',
  'cover or pad': 'covers or pads',
  'record of a press': 'records of presses',
  'step of a run': 'steps of runs',
};
const counted = (n: number, of: string) => (n === 1 ? `one ${of}` : `${n} ${MANY[of] ?? `${of}s`}`);

/** What becomes of things, as a list says it. */
const BECOMES: Record<ImportReply['changes'][number]['what'], string> = {
  added: 'new',
  changed: 'changed',
  'taken off': 'taken off the bench',
  withdrawn: 'withdrawn',
};

function Plan({ plan, name, onApply, onDrop }: { plan: ImportReply; name: string; onApply: (() => void) | null; onDrop: () => void }) {
  const { changes, counts, faults, faultCount, same, notes } = plan;
  if (faultCount > 0)
    return (
      <div role="alert" className="pt-3">
        <p className="font-semibold text-brick">
          {faultCount === 1 ? 'One line' : `${faultCount} lines`} of {name} cannot be read, so nothing was changed. Mend{' '}
          {faultCount === 1 ? 'it' : 'them'} and bring the file in again.
        </p>
        <Notes of={notes} />
        <ul>
          {faults.slice(0, MOST_SHOWN).map((fault) => (
            <li key={`${fault.line} ${fault.field} ${fault.message}`}>
              <span className="figure">line {fault.line}</span>, {fault.field}: {fault.message}
            </li>
          ))}
        </ul>
        {faultCount > MOST_SHOWN && <p className="label">and {faultCount - MOST_SHOWN} more</p>}
      </div>
    );
  const all = counts.reduce((sum, count) => sum + count.n, 0);
  return (
    <div className="pt-3" role="status">
      <p className="font-semibold">
        {plan.applied ? 'Done: ' : `${name} would bring: `}
        {all === 0 ? 'nothing new' : counts.map((count) => `${counted(count.n, count.kind)} ${BECOMES[count.what]}`).join(', ')}; {same} as{' '}
        {same === 1 ? 'it is' : 'they are'}.
      </p>
      <Notes of={notes} />
      <ul className="columns-2 max-[43.75rem]:columns-1">
        {changes.slice(0, MOST_SHOWN).map((change) => (
          <li key={`${change.kind} ${change.id} ${change.what}`}>
            {change.name} <span className="label">{change.what === 'changed' ? change.fields.join(', ') : BECOMES[change.what]}</span>
          </li>
        ))}
      </ul>
      {all > MOST_SHOWN && <p className="label">and {all - Math.min(MOST_SHOWN, changes.length)} more</p>}
      {!plan.applied && onApply && all > 0 && (
        <button type="button" className="act act-main mt-2 mr-3" onClick={onApply}>
          Do it
        </button>
      )}
      {!plan.applied && (
        <button type="button" className="act act-quiet mt-2" onClick={onDrop}>
          Cancel
        </button>
      )}
    </div>
  );
}

/** What is worth knowing of how a file was read. */
function Notes({ of }: { of: readonly string[] }) {
  return of.map((note) => (
    <p key={note} className="my-1 border-l-4 border-amber pl-3">
      {note}
    </p>
  ));
}
