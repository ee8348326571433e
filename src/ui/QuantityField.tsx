/** A field for a quantity: takes either system, shows both, asks when a bare figure only makes sense in the other unit. */
import { useEffect, useRef, useState } from 'react';
import {
  formatBeside,
  formatFigure,
  formatQuantity,
  type HouseUnits,
  parseQuantity,
  type QuantityKind,
  UNITS,
  type UnitId,
} from '../core/units';
import { TypedEntry, Wrong } from './TypedEntry';

export interface QuantityFieldProps {
  label: string;
  kind: QuantityKind;
  /** Inside units; null is empty. */
  value: number | null;
  unit: UnitId;
  house: HouseUnits;
  onChange: (value: number | null) => void;
  min?: number;
  max?: number;
  usual?: { low: number; high: number };
  decimals?: number;
  /** What the server said about this field. */
  problem?: string | undefined;
  name?: string;
  /** What holds while nothing is typed, inside units. */
  whenEmpty?: number | null;
}

type Note =
  | { kind: 'bad'; message: string }
  | { kind: 'ask'; message: string; choices: { value: number; unit: UnitId; typed: string }[] }
  | null;

export function QuantityField({
  label,
  kind,
  value,
  unit,
  house,
  onChange,
  decimals,
  problem,
  name,
  whenEmpty = null,
  ...limits
}: QuantityFieldProps) {
  const input = useRef<HTMLInputElement>(null);
  const shown = value === null ? '' : formatFigure(value, unit, decimals).replace('−', '-');
  const [text, setText] = useState(shown);
  const [note, setNote] = useState<Note>(null);
  // what is being typed is never rewritten under the hand
  useEffect(() => {
    if (document.activeElement !== input.current) setText(shown);
  }, [shown]);

  /** A field that cannot be read keeps its form from being sent with an older value. */
  const say = (next: Note) => {
    setNote(next);
    input.current?.setCustomValidity(next?.message ?? '');
  };
  const take = (inside: number) => {
    say(null);
    setText(formatFigure(inside, unit, decimals).replace('−', '-'));
    onChange(inside);
  };
  const type = (typed: string) => {
    setText(typed);
    const parsed = parseQuantity(kind, typed, { unit, ...limits });
    input.current?.setCustomValidity('');
    if (parsed.state === 'ok') onChange(parsed.value);
  };
  const read = (typed: string) => {
    if (typed.trim() === shown) return say(null);
    const parsed = parseQuantity(kind, typed, { unit, ...limits });
    if (parsed.state === 'ok') return take(parsed.value);
    if (parsed.state === 'bad') return say({ kind: 'bad', message: parsed.message });
    const choice = (c: { value: number; unit: UnitId }) => ({ ...c, typed: formatQuantity(c.value, c.unit, decimals) });
    say({ kind: 'ask', message: parsed.message, choices: [choice(parsed.instead), choice(parsed.typed)] });
  };
  const message = note?.kind === 'bad' ? note.message : problem;
  return (
    <TypedEntry
      label={label}
      symbol={UNITS[unit].symbol}
      text={text}
      isWrong={message !== undefined}
      input={input}
      name={name}
      placeholder={whenEmpty === null ? undefined : formatFigure(whenEmpty, unit, decimals)}
      onType={type}
      onLeave={read}
    >
      {message ? (
        <Wrong words={message} />
      ) : value !== null && !note ? (
        <span className="label figure">{formatBeside(kind, value, house)}</span>
      ) : null}
      {note?.kind === 'ask' && (
        <span role="alert" className="block">
          {note.message}{' '}
          {note.choices.map((choice) => (
            <button
              key={choice.unit}
              type="button"
              className="act act-quiet underline"
              onClick={() =>
                kind === 'temperature' && limits.max !== undefined && choice.value > limits.max
                  ? say({ kind: 'bad', message: `${choice.typed} is over what this takes.` })
                  : take(choice.value)
              }
            >
              {choice.typed}
            </button>
          ))}
        </span>
      )}
    </TypedEntry>
  );
}
