/** A field for a figure as a supplier's sheet writes it: one figure, with a tolerance, a range, a range with a start; it says back what it read. */
import { useEffect, useRef, useState } from 'react';
import { type Allowed, type Figure, figureText, figureWords, readFigure } from '../core/sheet';
import { formatFigure, type HouseUnits, houseUnit, UNITS } from '../core/units';
import { TypedEntry, Wrong } from './TypedEntry';

export interface FigureFieldProps {
  label: string;
  kind: 'temperature' | 'duration';
  /** Undefined: the stage has none of its own. */
  value: Figure | undefined;
  house: HouseUnits;
  min: number;
  max: number;
  /** What the figure allows, told where it is an allowance of ours. */
  allowed?: Allowed | undefined;
  /** What an empty field stands for; absent: it may not be empty. */
  whenEmpty?: string;
  onChange: (value: Figure | undefined) => void;
  problem?: string | undefined;
}

export function FigureField({ label, kind, value, house, min, max, allowed, whenEmpty, onChange, problem }: FigureFieldProps) {
  const input = useRef<HTMLInputElement>(null);
  const unit = kind === 'duration' ? 's' : house.temperature;
  const shown = value ? figureText(value, unit) : '';
  const [text, setText] = useState(shown);
  const [fault, setFault] = useState<string | null>(null);
  // what is being typed is never rewritten under the hand
  useEffect(() => {
    if (document.activeElement !== input.current) setText(shown);
  }, [shown]);
  const say = (message: string | null) => {
    setFault(message);
    input.current?.setCustomValidity(message ?? '');
  };
  const type = (typed: string) => {
    setText(typed);
    input.current?.setCustomValidity('');
    if (typed.trim() === '' && whenEmpty !== undefined) return onChange(undefined);
    const read = readFigure(kind, typed, { unit, min, max });
    if (read.state === 'ok') onChange(read.figure);
  };
  const leave = (typed: string) => {
    if (typed.trim() === shown || (typed.trim() === '' && whenEmpty !== undefined)) return say(null);
    const read = readFigure(kind, typed, { unit, min, max });
    if (read.state === 'bad') return say(read.message);
    say(null);
    setText(figureText(read.figure, unit));
    onChange(read.figure);
  };
  // what the server said holds for the figure it was said of
  const [refused, setRefused] = useState<{ problem: string | undefined; of: Figure | undefined }>({ problem, of: value });
  if (refused.problem !== problem) setRefused({ problem, of: value });
  const message = fault ?? (refused.of === value ? problem : undefined);
  const { beside } = houseUnit(kind, house);
  return (
    <TypedEntry
      label={label}
      symbol={UNITS[unit].symbol}
      text={text}
      isWrong={message !== undefined}
      input={input}
      placeholder={whenEmpty}
      onType={type}
      onLeave={leave}
    >
      {message ? (
        <Wrong words={message} />
      ) : value ? (
        <span className="label figure">
          {[
            ...(beside ? [figureWords(value, beside)] : []),
            ...(allowed?.ours
              ? [`${formatFigure(allowed.min, unit)}–${formatFigure(allowed.max, unit)} ${UNITS[unit].symbol} is our allowance`]
              : []),
          ].join('; ')}
        </span>
      ) : null}
    </TypedEntry>
  );
}
