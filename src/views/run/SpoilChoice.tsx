/** A spoiled piece wants what was lost and its reason: a figure key or a tap chooses, and only then it is spoiled. Escape goes back. */
import { useEffect, useRef, useState } from 'react';
import type { Card } from '../../core/card';
import { type Lost, reasonsFor, type SpoilReason } from '../../core/run';

interface SpoilChoiceProps {
  of: Card['of'];
  /** Pieces of the closing; of several, one is chosen. */
  pieces: readonly number[];
  /** What a piece is called: `piece 3`, or its design. */
  nameOf: (piece: number) => string;
  /** What the slip may have cost; the last costs most. */
  choices: readonly Lost[];
  /** A press whose time is up meanwhile, in words. */
  due: string | null;
  onChoose: (choice: { piece: number; lost?: Lost; reason: SpoilReason; note: string }) => void;
  onCancel: () => void;
}

/** Of the reasons in their order. */
const KEYS = [...'1234567890abcd'];

const LOST_WORDS: Record<Lost, string> = {
  sheet: 'the sheet; no blank met it yet',
  transfer: 'the transfer; the blank is good',
  blank: 'the blank; the transfer is good',
  piece: 'the piece',
};
const HEADS: Record<Lost, (name: string) => string> = {
  sheet: (name) => `The sheet for ${name} is lost, because …`,
  transfer: (name) => `The transfer of ${name} is lost, because …`,
  blank: (name) => `The blank of ${name} is lost, because …`,
  piece: (name) => `${name.charAt(0).toUpperCase()}${name.slice(1)} is spoiled, because …`,
};

export function SpoilChoice({ of, pieces, nameOf, choices, due, onChoose, onCancel }: SpoilChoiceProps) {
  const [piece, setPiece] = useState(pieces[0] ?? 1);
  const [lost, setLost] = useState<Lost>(choices.at(-1) ?? 'piece');
  const [note, setNote] = useState('');
  const heading = useRef<HTMLHeadingElement>(null);
  const reasons = reasonsFor(of, lost);
  const choose = (reason: SpoilReason) => onChoose({ piece, reason, note, ...(lost !== 'piece' && { lost }) });
  // on the heading, so that a Space by habit chooses nothing
  useEffect(() => heading.current?.focus(), []);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'Escape') onCancel();
      const reason = reasons[KEYS.indexOf(event.key)];
      if (reason && !(event.target instanceof HTMLInputElement)) {
        event.preventDefault();
        choose(reason);
      }
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  });
  const pick = (key: string, on: boolean, words: string, onClick: () => void) => (
    <button
      key={key}
      type="button"
      aria-pressed={on}
      className={`act ${on ? 'border-amber text-amber' : 'border-night-line text-white'}`}
      onClick={onClick}
    >
      {words}
    </button>
  );
  return (
    <section className="flex-1 py-4" aria-label="Why is it spoiled?">
      <h1 ref={heading} tabIndex={-1} className="pb-4 text-5xl outline-none">
        {HEADS[lost](nameOf(piece))}
      </h1>
      {due && (
        <p role="alert" className="mb-4 bg-amber px-4 py-2 text-3xl font-bold text-print">
          {due}: go back with Esc, or choose at once.
        </p>
      )}
      {choices.length > 1 && (
        <fieldset className="flex flex-wrap items-center gap-2 border-0 p-0 pb-4">
          <legend className="pb-1 text-night-soft">What is lost</legend>
          {choices.map((choice) => pick(choice, choice === lost, LOST_WORDS[choice], () => setLost(choice)))}
        </fieldset>
      )}
      {pieces.length > 1 && (
        <fieldset className="flex flex-wrap items-center gap-2 border-0 p-0 pb-4">
          <legend className="pb-1 text-night-soft">Which of the closing</legend>
          {pieces.map((value) => pick(String(value), value === piece, nameOf(value), () => setPiece(value)))}
        </fieldset>
      )}
      <ol className="grid grid-cols-3 gap-3 max-[68.6875rem]:grid-cols-2">
        {reasons.map((reason, i) => (
          <li key={reason}>
            <button
              type="button"
              className="act min-h-16 w-full justify-start border-night-line text-xl text-white"
              onClick={() => choose(reason)}
            >
              <span className="key">{KEYS[i]?.toUpperCase()}</span> {reason}
            </button>
          </li>
        ))}
      </ol>
      <label className="mt-5 block max-w-5xl">
        <span className="text-night-soft">A note, if there is one to make; then choose the reason</span>
        <input
          className="entry mt-1 border-night-line bg-night text-white"
          value={note}
          maxLength={500}
          onChange={(event) => setNote(event.target.value)}
        />
      </label>
      <button type="button" className="act mt-5 border-night-line text-white" onClick={onCancel}>
        Not spoiled, go back <span className="key">Esc</span>
      </button>
    </section>
  );
}
