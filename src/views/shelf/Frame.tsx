/** The frame of a shelf editor: its heading, its form, what went wrong, and the acts at its end. */
import { type ReactNode, useEffect, useRef } from 'react';
import { Fault } from '../../ui/Fault';

interface FrameProps {
  heading: string;
  dirty: boolean;
  /** It is on its way to the server. */
  saving: boolean;
  fault: unknown;
  merge: ReactNode;
  onSave: () => void;
  onBack: () => void;
  children: ReactNode;
}

export function Frame({ heading, dirty, saving, fault, merge, onSave, onBack, children }: FrameProps) {
  const form = useRef<HTMLFormElement>(null);
  const refused = Boolean(fault);
  // the first field that is wrong is where the hand goes next
  useEffect(() => {
    if (refused) form.current?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
  }, [refused]);
  return (
    <form
      ref={form}
      onSubmit={(event) => {
        event.preventDefault();
        onSave();
      }}
      className="mx-auto max-w-[67.5rem] px-5 pt-4"
      aria-label={heading}
    >
      <div className="sticky top-0 z-10 flex flex-wrap items-center gap-x-4 border-b border-line bg-paper py-2">
        <h1 className="min-w-0 flex-1 narrow:basis-full">{heading}</h1>
        <button type="button" className="act act-quiet" onClick={onBack}>
          {dirty ? 'Cancel' : 'Back to the shelf'}
        </button>
        <button type="submit" className="act act-main" disabled={!dirty || saving}>
          {saving ? 'Saving …' : 'Save'}
        </button>
      </div>
      <Fault of={fault} className="mt-3 border-l-4 border-brick pl-3 text-brick" more="What you typed is still here." />
      {merge}
      {children}
    </form>
  );
}

/** A part of an editor under its own heading. */
export function Part({ name, hint, children }: { name: string; hint?: string; children: ReactNode }) {
  return (
    <section className="rule-bottom grid grid-cols-1 gap-x-6 gap-y-2 py-3 min-[47.5rem]:grid-cols-[11rem_1fr]" aria-label={name}>
      <div>
        <h2>{name}</h2>
        {hint && <p className="label pt-1">{hint}</p>}
      </div>
      <div className="grid grid-cols-6 gap-x-5">{children}</div>
    </section>
  );
}

/** On a phone two fields stand beside each other at most. */
const SPANS = {
  1: 'col-span-3 min-[47.5rem]:col-span-1',
  2: 'col-span-3 min-[47.5rem]:col-span-2',
  3: 'col-span-6 min-[47.5rem]:col-span-3',
  4: 'col-span-6 min-[47.5rem]:col-span-4',
  6: 'col-span-6',
} as const;
export const Cell = ({ span, children }: { span: keyof typeof SPANS; children: ReactNode }) => (
  <div className={SPANS[span]}>{children}</div>
);
