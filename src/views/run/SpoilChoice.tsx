/** A spoiled piece wants its reason: a figure key or a tap chooses, and only then it is spoiled. Escape goes back. */
import { useEffect, useRef, useState } from 'react';
import { SPOIL_REASONS, type SpoilReason } from '../../core/run';

interface SpoilChoiceProps {
  /** Pieces of the closing; of several, one is chosen. */
  pieces: readonly number[];
  /** A press whose time is up meanwhile, in words. */
  due: string | null;
  onChoose: (piece: number, reason: SpoilReason, note: string) => void;
  onCancel: () => void;
}

export function SpoilChoice({ pieces, due, onChoose, onCancel }: SpoilChoiceProps) {
  const [piece, setPiece] = useState(pieces[0] ?? 1);
  const [note, setNote] = useState('');
  const heading = useRef<HTMLHeadingElement>(null);
  // on the heading, so that a Space by habit chooses nothing
  useEffect(() => heading.current?.focus(), []);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'Escape') onCancel();
      const reason = SPOIL_REASONS[Number(event.key) - 1];
      if (reason && !(event.target instanceof HTMLInputElement)) {
        event.preventDefault();
        onChoose(piece, reason, note);
      }
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  });
  return (
    <section className="flex-1 py-4" aria-label="Why is it spoiled?">
      <h1 ref={heading} tabIndex={-1} className="pb-4 text-5xl outline-none">
        Piece {piece} is spoiled, because …
      </h1>
      {due && (
        <p role="alert" className="mb-4 bg-amber px-4 py-2 text-3xl font-bold text-ink">
          {due}: go back with Esc, or choose at once.
        </p>
      )}
      {pieces.length > 1 && (
        <fieldset className="flex flex-wrap items-center gap-2 border-0 p-0 pb-4">
          <legend className="pb-1 text-night-soft">Which of the closing</legend>
          {pieces.map((value) => (
            <button
              key={value}
              type="button"
              aria-pressed={value === piece}
              className={`act border-night-line text-white ${value === piece ? 'border-amber' : ''}`}
              onClick={() => setPiece(value)}
            >
              piece {value}
            </button>
          ))}
        </fieldset>
      )}
      <ol className="grid max-w-5xl grid-cols-2 gap-3">
        {SPOIL_REASONS.map((reason, i) => (
          <li key={reason}>
            <button
              type="button"
              className="act min-h-16 w-full justify-start border-night-line text-xl text-white"
              onClick={() => onChoose(piece, reason, note)}
            >
              <span className="key">{i + 1}</span> {reason}
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
