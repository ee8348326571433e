/** The letters of the acts at the press, each changed by a click and the letter; kept on this device. */
import { useEffect, useState } from 'react';
import { changeKey, KEYED_ACTS, type KeyedAct, useKeys, usualKeys } from '../../ui/keys';

const ACTS: Record<KeyedAct, string> = {
  early: 'open early, or cool enough already',
  layBack: 'lay back, press again',
  spoil: 'spoiled',
  undo: 'undo last step',
  pause: 'pause and go on',
  note: 'note',
  photo: 'photo',
  time: 'set time',
  heat: 'set heat',
  pressure: 'set pressure',
  read: 'keep a reading',
  spot: 'press a part again',
  goes: 'piece by piece, step by step',
  sounds: 'sound',
  full: 'full screen',
  keys: 'these keys',
};

export function KeysPanel({ onClose }: { onClose: () => void }) {
  const keys = useKeys();
  const [changing, setChanging] = useState<KeyedAct | null>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const letter = event.key.toLowerCase();
      if (event.key === 'Escape') {
        if (changing) setChanging(null);
        else onClose();
      } else if (changing && /^[a-z]$/.test(letter)) {
        event.preventDefault();
        changeKey(changing, letter);
        setChanging(null);
      }
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  });
  return (
    <section aria-label="Keys" className="pt-3">
      <p className="pb-2 text-lg text-night-soft" role="status">
        {changing
          ? `Press the letter for “${ACTS[changing]}”. Esc leaves it.`
          : 'Space or a foot switch goes on. Touch an act to give it another letter; an act that has the letter takes this one’s.'}
      </p>
      <ul className="grid grid-cols-4 gap-2 max-[74.9375rem]:grid-cols-3 max-[56.25rem]:grid-cols-2">
        {KEYED_ACTS.map((act) => (
          <li key={act}>
            <button
              type="button"
              aria-pressed={changing === act}
              className={`act w-full justify-between text-white ${changing === act ? 'border-amber' : 'border-night-line'}`}
              onClick={() => setChanging(act)}
            >
              {ACTS[act]} <span className="key">{changing === act ? '?' : keys[act].toUpperCase()}</span>
            </button>
          </li>
        ))}
      </ul>
      <p className="flex gap-3 pt-3">
        <button type="button" className="act border-amber text-amber" onClick={onClose}>
          Done <span className="key">Esc</span>
        </button>
        <button type="button" className="act border-transparent text-night-soft" onClick={usualKeys}>
          The usual letters
        </button>
      </p>
    </section>
  );
}
