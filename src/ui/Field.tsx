/** Plain fields with their label, and the message of what is wrong with them. */
import { type ReactNode, useId } from 'react';

interface FieldProps {
  label: string;
  problem?: string | undefined;
  hint?: string | undefined;
}

function Frame({ id, label, problem, hint, children }: FieldProps & { id: string; children: ReactNode }) {
  return (
    <div>
      <label htmlFor={id} className="label mb-1 block">
        {label}
      </label>
      {children}
      <div className="min-h-6 pt-0.5 pb-1.5 text-sm" id={`${id}-note`}>
        {problem ? (
          <span role="alert" className="text-brick">
            {problem}
          </span>
        ) : (
          <span className="label">{hint}</span>
        )}
      </div>
    </div>
  );
}

export function TextField({
  label,
  problem,
  hint,
  value,
  onChange,
  ...rest
}: FieldProps & { value: string; onChange: (value: string) => void } & Omit<
    React.InputHTMLAttributes<HTMLInputElement>,
    'value' | 'onChange'
  >) {
  const id = useId();
  return (
    <Frame id={id} label={label} problem={problem} hint={hint}>
      <input
        id={id}
        className="entry"
        autoComplete="off"
        aria-invalid={problem ? true : undefined}
        aria-describedby={`${id}-note`}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        {...rest}
      />
    </Frame>
  );
}

export function ChoiceField<T extends string>({
  label,
  problem,
  hint,
  value,
  options,
  onChange,
  ...rest
}: FieldProps & { value: T; options: readonly { value: T; text: string }[]; onChange: (value: T) => void } & Omit<
    React.SelectHTMLAttributes<HTMLSelectElement>,
    'value' | 'onChange'
  >) {
  const id = useId();
  return (
    <Frame id={id} label={label} problem={problem} hint={hint}>
      <select
        id={id}
        className="entry"
        aria-invalid={problem ? true : undefined}
        aria-describedby={`${id}-note`}
        value={value}
        onChange={(event) => onChange(event.target.value as T)}
        {...rest}
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.text}
          </option>
        ))}
      </select>
    </Frame>
  );
}
