/** The lamp: word, shape and colour together. Clear is a filled round, Care a half-filled one with its count, Hold a barred square. */
import type { LampState } from '../core/window';

const WORDS = { clear: 'Clear', care: 'Care', hold: 'Hold' } as const;

export function LampMark({ state, size = 22 }: { state: LampState; size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 24 24" aria-hidden="true" className="shrink-0">
      {state === 'clear' && <circle cx="12" cy="12" r="10" fill="var(--color-teal)" stroke="currentColor" strokeWidth="2" />}
      {state === 'care' && (
        <>
          <circle cx="12" cy="12" r="10" fill="var(--color-sheet)" stroke="var(--color-ink)" strokeWidth="2" />
          <path d="M12 2a10 10 0 0 1 0 20z" fill="var(--color-amber)" stroke="var(--color-ink)" strokeWidth="2" />
        </>
      )}
      {state === 'hold' && (
        <>
          <rect x="2" y="2" width="20" height="20" fill="var(--color-brick-fill)" stroke="currentColor" strokeWidth="2" />
          <path d="M2 9h20M2 15h20" stroke="#fbfcfb" strokeWidth="3" />
        </>
      )}
    </svg>
  );
}

/** Mark and word; Care says how many cautions. */
export function Lamp({
  state,
  cautions = 0,
  size = 22,
  className = '',
}: {
  state: LampState;
  cautions?: number;
  size?: number;
  className?: string;
}) {
  return (
    <span className={`inline-flex items-center gap-2 font-semibold whitespace-nowrap ${className}`} data-lamp={state}>
      <LampMark state={state} size={size} />
      {WORDS[state]}
      {state === 'care' && cautions > 0 ? (
        <span className="font-normal">
          · <span className="figure">{cautions}</span>
        </span>
      ) : null}
    </span>
  );
}
