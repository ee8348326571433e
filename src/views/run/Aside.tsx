/** What is noted beside the run by one key and a few letters: a word about a piece, or a setting that is not as carded. */
import { useEffect, useRef, useState } from 'react';
import type { Card } from '../../core/card';
import { doubtOf, type RunFact } from '../../core/run';
import { parseQuantity, phraseText, UNITS } from '../../core/units';
import { useUnits } from '../../ui/house';

export type AsideKind = 'note' | 'time' | 'temperature';

interface AsideProps {
  kind: AsideKind;
  card: Card;
  piece: number | undefined;
  onFact: (fact: RunFact) => void;
  onClose: () => void;
}

const LABELS: Record<AsideKind, string> = {
  note: 'A note about',
  time: 'Seconds of the full press from now on',
  temperature: 'Set temperature from now on',
};

export function Aside({ kind, card, piece, onFact, onClose }: AsideProps) {
  const [typed, setTyped] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  // what was asked about once is taken the second time
  const [asked, setAsked] = useState<string | null>(null);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), []);
  const { unit } = card.window.settable;
  const units = useUnits();
  const keep = () => {
    const fact = factFrom(kind, typed, unit, piece);
    if (typeof fact === 'string') return setFault(fact);
    const doubt = asked === typed ? null : doubtOf(fact, card);
    if (doubt) {
      setAsked(typed);
      return setFault(`${phraseText(doubt, units)} Keep it once more to set it all the same.`);
    }
    onFact(fact);
    onClose();
  };
  return (
    <div className="flex flex-wrap items-end gap-3 pt-3">
      <label className="block min-w-80 flex-1">
        <span className="text-night-soft">
          {LABELS[kind]}
          {kind === 'note' && piece !== undefined ? ` piece ${piece}` : kind === 'temperature' ? `, ${UNITS[unit].symbol}` : ''}
        </span>
        <input
          ref={field}
          className="entry mt-1 border-night-line bg-night text-xl text-white"
          value={typed}
          maxLength={500}
          autoComplete="off"
          aria-invalid={fault ? true : undefined}
          onChange={(event) => {
            setTyped(event.target.value);
            setFault(null);
          }}
          onKeyDown={(event) => {
            if (event.key === 'Enter') keep();
            if (event.key === 'Escape') onClose();
          }}
        />
      </label>
      <button type="button" className="act border-amber text-amber" onClick={keep}>
        Keep it <span className="key">Enter</span>
      </button>
      <button type="button" className="act border-night-line text-white" onClick={onClose}>
        Leave it <span className="key">Esc</span>
      </button>
      {fault && (
        <p role="alert" className="basis-full text-lg text-amber">
          {fault}
        </p>
      )}
    </div>
  );
}

/** The fact typed, or what is wrong with it. */
function factFrom(kind: AsideKind, typed: string, unit: 'C' | 'F', piece: number | undefined): RunFact | string {
  const text = typed.trim();
  if (text === '') return 'Nothing is typed yet.';
  if (kind === 'note') return { kind: 'noted', note: text, ...(piece !== undefined && { piece }) };
  if (kind === 'time') {
    const read = parseQuantity('duration', text, { unit: 's', min: 1, max: 600 });
    return read.state === 'ok' ? { kind: 'set', timeS: read.value } : `Time: ${read.message}`;
  }
  const read = parseQuantity('temperature', text, { unit, min: 40, max: 260 });
  return read.state === 'ok' ? { kind: 'set temperature', tempC: read.value } : `Temperature: ${read.message}`;
}
