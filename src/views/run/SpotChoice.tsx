/** A part of a piece pressed again: where on the art, for how long, and under what; then the press is shut on it. */
import { useEffect, useRef, useState } from 'react';
import type { Card } from '../../core/card';
import { COVER_SHEETS } from '../../core/heat';
import { COVER_KINDS, type CoverKind } from '../../core/materials';
import type { SpotArea } from '../../core/run';
import { parseQuantity } from '../../core/units';

/** The art is told in so many parts across and down, by the figure keys as they lie on a pad. */
const PARTS = 3;
const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3'];
const NAMES = ['top left', 'top', 'top right', 'left', 'middle', 'right', 'bottom left', 'bottom', 'bottom right'];
const HAZARD = 'Hands out before it closes; platen, base and the print burn. Follow the maker’s instructions.';

interface SpotChoiceProps {
  card: Card;
  piece: number | undefined;
  onSpot: (spot: { area: SpotArea; timeS: number; cover: CoverKind | null }) => void;
  onClose: () => void;
}

/** The smallest part of the art that holds the chosen ones. */
function areaOf(chosen: readonly number[]): SpotArea {
  const columns = chosen.map((i) => i % PARTS);
  const rows = chosen.map((i) => Math.floor(i / PARTS));
  const [left, top] = [Math.min(...columns), Math.min(...rows)];
  return {
    x: left / PARTS,
    y: top / PARTS,
    width: (Math.max(...columns) - left + 1) / PARTS,
    height: (Math.max(...rows) - top + 1) / PARTS,
  };
}

export function SpotChoice({ card, piece, onSpot, onClose }: SpotChoiceProps) {
  const [chosen, setChosen] = useState<readonly number[]>([]);
  const [typed, setTyped] = useState(String(card.set.timeS));
  const [cover, setCover] = useState<CoverKind | null>(card.set.cover);
  const [fault, setFault] = useState<string | null>(null);
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), []);
  const turn = (i: number) => {
    setFault(null);
    setChosen((before) => (before.includes(i) ? before.filter((other) => other !== i) : [...before, i]));
  };
  const close = () => {
    const time = parseQuantity('duration', typed, { unit: 's', min: 1, max: 600 });
    if (chosen.length === 0) return setFault('Where: touch the part that is to be pressed again.');
    if (time.state !== 'ok') return setFault(`Time: ${time.message}`);
    onSpot({ area: areaOf(chosen), timeS: time.value, cover });
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'Escape') return onClose();
      if (event.target instanceof HTMLInputElement || event.target instanceof HTMLSelectElement) return;
      if (event.key === 'Enter' && !(event.target instanceof HTMLButtonElement)) close();
      const part = KEYS.indexOf(event.key);
      if (part >= 0) turn(part);
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  });
  const area = chosen.length > 0 ? areaOf(chosen) : null;
  return (
    <section className="flex-1 py-4" aria-label="Press a part again">
      <h1 ref={heading} tabIndex={-1} className="pb-4 text-5xl outline-none">
        Press a part of piece {piece} again
      </h1>
      <div className="flex flex-wrap gap-10">
        <fieldset className="border-0 p-0">
          <legend className="pb-2 text-night-soft">
            Where on {card.of.artName}, as it is looked at <span className="key">1–9</span>
          </legend>
          <div
            className="relative grid w-[min(22rem,80vw)] grid-cols-3 border-2 border-white"
            style={{ aspectRatio: `${card.of.widthMm} / ${card.of.heightMm}`, maxHeight: '24rem', minHeight: '9rem' }}
          >
            {NAMES.map((name, i) => (
              <button
                key={name}
                type="button"
                aria-label={name}
                aria-pressed={chosen.includes(i)}
                className={`min-h-12 border border-night-line text-lg ${chosen.includes(i) ? 'bg-amber text-print' : 'bg-transparent text-night-soft'}`}
                onClick={() => turn(i)}
              >
                {KEYS[i]}
              </button>
            ))}
            {area && (
              <span
                aria-hidden="true"
                className="pointer-events-none absolute border-4 border-amber"
                style={{
                  left: `${area.x * 100}%`,
                  top: `${area.y * 100}%`,
                  width: `${area.width * 100}%`,
                  height: `${area.height * 100}%`,
                }}
              />
            )}
          </div>
        </fieldset>
        <div className="min-w-72 flex-1">
          <label className="block max-w-72">
            <span className="text-night-soft">For how long, s</span>
            <input
              className="entry mt-1 border-night-line bg-night text-xl text-white"
              inputMode="decimal"
              value={typed}
              onChange={(event) => {
                setTyped(event.target.value);
                setFault(null);
              }}
              onKeyDown={(event) => {
                if (event.key === 'Enter') close();
              }}
            />
          </label>
          <label className="mt-4 block max-w-72">
            <span className="text-night-soft">Under what</span>
            <select
              className="entry mt-1 border-night-line bg-night text-xl text-white"
              value={cover ?? ''}
              onChange={(event) => setCover(COVER_KINDS.find((kind) => kind === event.target.value) ?? null)}
            >
              <option value="">nothing over it</option>
              {COVER_KINDS.map((kind) => (
                <option key={kind} value={kind}>
                  {COVER_SHEETS[kind].name}
                </option>
              ))}
            </select>
          </label>
          <p className="mt-5 max-w-lg border-l-4 border-amber pl-3 text-lg text-amber" data-safety>
            {HAZARD}
          </p>
        </div>
      </div>
      {fault && (
        <p role="alert" className="pt-4 text-lg text-amber">
          {fault}
        </p>
      )}
      <div className="flex flex-wrap gap-3 pt-6">
        <button type="button" className="act border-amber bg-amber text-print" onClick={close}>
          Close on it <span className="key">Enter</span>
        </button>
        <button type="button" className="act border-night-line text-white" onClick={onClose}>
          Cancel <span className="key">Esc</span>
        </button>
      </div>
    </section>
  );
}
