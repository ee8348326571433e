/** Lines from one list of people: who gets which garment in which size, with their number and name. */
import { useState } from 'react';
import { call, type Reply } from '../../contract';
import { spoiledPieces } from '../../core/log';
import type { Blank } from '../../core/materials';
import { type Line, linesOfKit } from '../../core/order';
import { Fault } from '../../ui/Fault';
import { newId } from '../../ui/newId';
import { errorWords } from '../../ui/query';
import type { OrderState } from './useOrder';

type Read = Reply<'readKit'>;
const NOTHING: Read = { people: [], faults: [], shared: [] };
const MOST_FAULTS = 6;

interface KitEditorProps {
  state: OrderState;
  blanks: readonly Blank[];
  fault: unknown;
  /** All lines of the order, with those of the list in place of the garments they were made from. */
  onSave: (lines: Line[]) => void;
}

/** A garment is a line nothing was pressed of yet: its lines by size take its place. */
const garmentsOf = ({ order, lines }: OrderState): Line[] =>
  order.lines.filter((line) => {
    const progress = lines.find(({ lineId }) => lineId === line.id);
    return !progress || (spoiledPieces(progress) === 0 && progress.prints.every(({ good, openRunId }) => good === 0 && openRunId === null));
  });

export function KitEditor({ state, blanks, fault, onSave }: KitEditorProps) {
  const choices = garmentsOf(state);
  const [picked, setPicked] = useState<string[]>(() => choices.map(({ id }) => id));
  const [text, setText] = useState('');
  const [list, setList] = useState<Read>(NOTHING);
  const [sharing, setSharing] = useState(false);
  const garments = choices.filter(({ id }) => picked.includes(id));
  const nameOf = (line: Line) => blanks.find(({ id }) => id === line.blankId)?.name ?? line.blankId;
  const read = async (typed: string, lines = garments) => {
    if (typed.trim() === '' || lines.length === 0) return setList(NOTHING);
    const asked = lines.map((line) => ({ name: nameOf(line), sizes: blanks.find(({ id }) => id === line.blankId)?.sizes ?? [line.size] }));
    try {
      setList(await call('readKit', { body: { text: typed, garments: asked } }));
    } catch (error) {
      setList({ ...NOTHING, faults: [{ line: 0, message: errorWords(error) }] });
    }
  };
  const pick = (ids: string[]) => {
    setPicked(ids);
    void read(
      text,
      choices.filter(({ id }) => ids.includes(id)),
    );
  };
  const isSound = list.people.length > 0 && list.faults.length === 0 && (list.shared.length === 0 || sharing);
  const made = list.people.length > 0 && list.faults.length === 0 ? linesOfKit(garments, list.people, newId) : [];
  const save = () => onSave([...state.order.lines.filter(({ id }) => !picked.includes(id)), ...made]);
  if (choices.length === 0)
    return (
      <p className="m-6 max-w-prose">
        Every line of this order has been begun. Add a line for each garment first; then a list of people makes a line of every size of it.
      </p>
    );
  return (
    <form
      className="max-w-4xl p-6"
      aria-label="Lines from a list of people"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <h2 className="text-xl">Lines from a list of people</h2>
      <p className="label max-w-prose pb-4">
        Set up one line for each garment, with its prints. The list then says who gets it and in which size, and makes a line of every size.
      </p>
      <fieldset className="m-0 border-0 p-0 pb-4">
        <legend className="p-0 font-semibold">Garments, in the order of the list’s columns</legend>
        {choices.map((line) => (
          <label key={line.id} className="flex min-h-12 items-center gap-2">
            <input
              type="checkbox"
              className="size-6 accent-teal"
              checked={picked.includes(line.id)}
              onChange={(event) => pick(event.target.checked ? [...picked, line.id] : picked.filter((id) => id !== line.id))}
            />
            {nameOf(line)} <span className="label">{line.prints.map(({ artName }) => artName).join(', ')}</span>
          </label>
        ))}
      </fieldset>
      <label className="block">
        <span className="label mb-1 block">
          One line a person: number, name{garments.map((line) => `, size of the ${nameOf(line)}`).join('')}; a dash for none
        </span>
        <textarea
          className="entry figure"
          rows={Math.min(16, Math.max(6, text.split('\n').length + 1))}
          value={text}
          spellCheck={false}
          placeholder={`7, Ines${', M'.repeat(garments.length)}\n9, Toma${', L'.repeat(garments.length)}`}
          onChange={(event) => setText(event.target.value)}
          onBlur={(event) => void read(event.target.value)}
        />
      </label>
      <div className="min-h-8 py-2" role="alert">
        {list.faults.slice(0, MOST_FAULTS).map(({ line, message }) => (
          <p key={`${line} ${message}`} className="text-brick">
            {line > 0 ? `Line ${line}: ` : ''}
            {message}
          </p>
        ))}
        {list.faults.length > MOST_FAULTS && <p className="text-brick">and {list.faults.length - MOST_FAULTS} more</p>}
        {list.faults.length === 0 && list.shared.length > 0 && (
          <label className="flex min-h-12 items-center gap-2 font-semibold">
            <input
              type="checkbox"
              className="size-6 accent-teal"
              checked={sharing}
              onChange={(event) => setSharing(event.target.checked)}
            />
            {list.shared.map(({ number, lines }) => `${number} is on lines ${lines.join(' and ')}`).join('; ')}. They share it.
          </label>
        )}
      </div>
      {made.length > 0 && (
        <ul className="pb-4" aria-label="Lines it makes">
          {made.map((line) => (
            <li key={`${line.blankId} ${line.size}`} className="border-b border-line py-2">
              <span className="font-semibold">
                <span className="figure">{line.count}</span> {nameOf(line)} {line.size}
              </span>{' '}
              <span className="label">{line.roster.map(({ number, name }) => `${number} ${name}`.trim()).join(', ')}</span>
            </li>
          ))}
        </ul>
      )}
      <Fault of={fault} className="pb-3 text-brick" />
      <button type="submit" className="act act-main" disabled={!isSound}>
        Make {made.length > 0 ? `${made.length} ` : 'the '}
        {made.length === 1 ? 'line' : 'lines'}
      </button>
    </form>
  );
}
