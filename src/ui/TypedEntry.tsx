/** The frame of a field that reads what is typed into it: its name, the entry with its unit, and the note under it. */
import { type ReactNode, type Ref, useId } from 'react';

interface TypedEntryProps {
  label: string;
  /** What stands after the figure. */
  symbol: string;
  text: string;
  /** What is wrong with it, or what is told of it. */
  children: ReactNode;
  isWrong: boolean;
  input: Ref<HTMLInputElement>;
  placeholder?: string | undefined;
  name?: string | undefined;
  onType: (typed: string) => void;
  /** The hand leaves the field, or presses Enter in it. */
  onLeave: (typed: string) => void;
}

export function TypedEntry({ label, symbol, text, children, isWrong, input, placeholder, name, onType, onLeave }: TypedEntryProps) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="label mb-1 block">
        {label}
      </label>
      <div className="relative">
        <input
          ref={input}
          id={id}
          name={name}
          className="entry figure pr-12"
          autoComplete="off"
          value={text}
          placeholder={placeholder}
          aria-invalid={isWrong ? true : undefined}
          aria-describedby={`${id}-note`}
          onChange={(event) => onType(event.target.value)}
          onBlur={(event) => onLeave(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && onLeave(event.currentTarget.value)}
        />
        <span className="label pointer-events-none absolute inset-y-0 right-3 flex items-center">{symbol}</span>
      </div>
      <div id={`${id}-note`} className="min-h-6 pt-0.5 pb-1.5 text-sm">
        {children}
      </div>
    </div>
  );
}

/** What is wrong with what was typed. */
export function Wrong({ words }: { words: string }) {
  return (
    <span role="alert" className="text-brick">
      {words}
    </span>
  );
}
