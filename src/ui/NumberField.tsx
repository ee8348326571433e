/** A plain figure with its unit written after it; what cannot be read is kept as it was typed, and said. */
import { useEffect, useRef, useState } from 'react';
import { TextField } from './Field';

interface NumberFieldProps {
  label: string;
  value: number;
  onChange: (value: number) => void;
  problem?: string | undefined;
  hint?: string;
  whole?: boolean;
}

export function NumberField({ label, value, onChange, problem, hint, whole = false }: NumberFieldProps) {
  const [text, setText] = useState(String(value));
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!box.current?.contains(document.activeElement)) setText(String(value));
  }, [value]);
  const readable = /^-?\d*[.,]?\d+$/.test(text.trim()) && (!whole || /^-?\d+$/.test(text.trim()));
  return (
    <div ref={box}>
      <TextField
        label={label}
        inputMode="decimal"
        className="entry figure"
        value={text}
        problem={readable ? problem : whole ? 'A whole number.' : 'A number.'}
        hint={hint}
        onChange={(typed) => {
          setText(typed);
          const next = Number(typed.trim().replace(',', '.'));
          if (typed.trim() !== '' && Number.isFinite(next)) onChange(next);
        }}
      />
    </div>
  );
}
