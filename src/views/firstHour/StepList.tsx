/** Every step with how it stands: filled is done, a bar is left out, the next one is marked at its edge. */
import type { FirstHour } from '../../core/firstHour';
import { STEP_WORDS } from './steps';

type Step = FirstHour['steps'][number];
const SAID: Record<Step['state'], string> = {
  done: 'done',
  'left out': 'left out',
  next: 'next',
  open: '',
  waits: 'waits for the steps before',
};

const Mark = ({ state }: { state: Step['state'] }) => (
  <svg width="20" height="20" viewBox="0 0 20 20" aria-hidden="true" className="shrink-0">
    <rect x="2" y="2" width="16" height="16" fill={state === 'done' ? 'var(--color-teal)' : 'none'} stroke="currentColor" strokeWidth="2" />
    {state === 'done' && <path d="M5.5 10l3 3.5 6-7" fill="none" stroke="var(--color-on-teal)" strokeWidth="2.4" />}
    {state === 'left out' && <path d="M5 10h10" stroke="currentColor" strokeWidth="2.4" />}
  </svg>
);

interface StepListProps {
  steps: readonly Step[];
  on: Step['id'] | null;
  onChoose: (id: Step['id']) => void;
}

export function StepList({ steps, on, onChoose }: StepListProps) {
  return (
    <ol aria-label="Steps">
      {steps.map(({ id, state }) => (
        <li key={id} className="rule-top">
          <button
            type="button"
            aria-current={id === on ? 'step' : undefined}
            disabled={state === 'waits'}
            onClick={() => onChoose(id)}
            className={`flex min-h-12 w-full items-center gap-3 border-0 border-l-4 bg-transparent py-2 pl-3 text-left leading-tight ${id === on ? 'border-l-teal font-bold' : 'border-l-transparent'} ${state === 'waits' ? 'text-soft' : ''}`}
          >
            <Mark state={state} />
            <span className="flex-1">{STEP_WORDS[id].title}</span>
            <span className="label font-normal">{SAID[state]}</span>
          </button>
        </li>
      ))}
    </ol>
  );
}
