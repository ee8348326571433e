/** A box to tick, with its words as large a target as the box. */
import type { ReactNode } from 'react';

export function Check({ on, onChange, children }: { on: boolean; onChange: (on: boolean) => void; children: ReactNode }) {
  return (
    <label className="flex min-h-12 items-center gap-3">
      <input type="checkbox" className="size-6 shrink-0" checked={on} onChange={(event) => onChange(event.target.checked)} />
      <span>{children}</span>
    </label>
  );
}
