/** A spoiled piece wants its reason: a figure key or a tap chooses, and only then it is spoiled. Escape goes back. */
import { useEffect, useRef, useState } from 'react';
import { SPOIL_REASONS, type SpoilReason } from '../../core/run';

export function SpoilChoice({ onChoose, onCancel }: { onChoose: (reason: SpoilReason, note: string) => void; onCancel: () => void }) {
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
        onChoose(reason, note);
      }
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  });
  return (
    <section className="flex-1 py-4" aria-label="Why is it spoiled?">
      <h1 ref={heading} tabIndex={-1} className="pb-4 text-5xl outline-none">
        Spoiled, because …
      </h1>
      <ol className="grid max-w-5xl grid-cols-2 gap-3">
        {SPOIL_REASONS.map((reason, i) => (
          <li key={reason}>
            <button
              type="button"
              className="act min-h-16 w-full justify-start border-night-line text-xl text-white"
              onClick={() => onChoose(reason, note)}
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
