/** A roster: every piece its own number or name, pasted or read from a CSV file. */
import { useState } from 'react';
import { call, type Reply } from '../../contract';
import type { RosterEntry } from '../../core/order';
import { errorWords } from '../../ui/query';

type Faults = Reply<'readRoster'>['faults'];

const asText = (roster: readonly RosterEntry[]): string =>
  roster.map(({ number, name }) => (name ? `${number}, ${name}` : number)).join('\n');

interface RosterFieldProps {
  roster: RosterEntry[];
  /** Numbers that people share. */
  shared: readonly string[];
  pieces: number | null;
  problem: string | undefined;
  onChange: (roster: RosterEntry[], shared: string[]) => void;
}

export function RosterField({ roster, shared, pieces, problem, onChange }: RosterFieldProps) {
  const [text, setText] = useState(asText(roster));
  const [faults, setFaults] = useState<Faults>([]);
  const read = async (typed: string, sharing: readonly string[] = shared) => {
    if (typed.trim() === '') {
      setFaults([]);
      return onChange([], []);
    }
    if (pieces === null) return setFaults([{ line: 0, message: 'Say first how many pieces there are.' }]);
    try {
      const reply = await call('readRoster', { body: { text: typed, pieces, shared: [...sharing] } });
      setFaults(reply.faults);
      // what is typed stays as it is; only a faultless list becomes the line's roster
      onChange(reply.faults.length === 0 ? reply.roster : [], [...sharing]);
    } catch (error) {
      setFaults([{ line: 0, message: errorWords(error) }]);
    }
  };
  const take = async (file: File | undefined) => {
    if (!file) return;
    const typed = await file.text();
    setText(typed);
    await read(typed);
  };
  return (
    <div className="grid grid-cols-[1fr_16rem] gap-x-5 narrow:block">
      <label className="block">
        <span className="label mb-1 block">Roster: one line a piece, number and name</span>
        <textarea
          className="entry figure"
          rows={Math.min(14, Math.max(5, text.split('\n').length + 1))}
          value={text}
          spellCheck={false}
          onChange={(event) => setText(event.target.value)}
          onBlur={(event) => void read(event.target.value)}
          placeholder={'7, Ines\n9, Toma'}
        />
      </label>
      <div className="pt-6">
        <label className="act w-full">
          Read a CSV file
          <input
            type="file"
            accept=".csv,text/csv,text/plain"
            className="sr-only"
            onChange={(event) => void take(event.target.files?.[0])}
          />
        </label>
        <p className="pt-2" role="status">
          {roster.length > 0 && faults.length === 0 ? `${roster.length} entries, one for each piece.` : ''}
        </p>
      </div>
      <div className="col-span-2 min-h-6" role="alert">
        {problem && faults.length === 0 && <p className="text-brick">{problem}</p>}
        {faults.slice(0, 6).map((fault) => (
          <p key={`${fault.line} ${fault.message}`} className="text-brick">
            {fault.line > 0 ? `Line ${fault.line}: ` : ''}
            {fault.message}{' '}
            {fault.number !== undefined && (
              <button type="button" className="act act-quiet underline" onClick={() => void read(text, [...shared, fault.number ?? ''])}>
                They share {fault.number}
              </button>
            )}
          </p>
        ))}
        {faults.length > 6 && <p className="text-brick">and {faults.length - 6} more</p>}
      </div>
    </div>
  );
}
