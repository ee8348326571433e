/** The acts beside the cue, each with its key. Spoiled stands apart from the rest. */
import type { Cue } from '../../core/run';

interface RunKeysProps {
  cue: Cue;
  done: boolean;
  canUndo: boolean;
  orderId: string;
  on: Record<'early' | 'layBack' | 'spoil' | 'undo' | 'stop', () => unknown>;
}

export function RunKeys({ cue, done, canUndo, orderId, on }: RunKeysProps) {
  const look = 'act border-night-line text-white';
  const key = (text: string, letter: string, does: () => unknown, can: boolean, extra = '') => (
    <button type="button" className={`${look} ${can ? '' : 'opacity-40'} ${extra}`} disabled={!can} onClick={() => void does()}>
      {text} <span className="key">{letter}</span>
    </button>
  );
  if (done) {
    return (
      <div className="flex gap-4 pt-4">
        <a className="act border-amber bg-amber text-ink" href={`/orders/${orderId}/record`}>
          See the record
        </a>
        {key('Undo', 'U', on.undo, canUndo)}
      </div>
    );
  }
  return (
    <div className="flex flex-wrap items-center gap-3 pt-4">
      {key('Lay back, press again', 'L', on.layBack, cue.canLayBack)}
      {key(cue.early === 'next' ? 'Cool enough already' : 'Open early', 'O', on.early, cue.early !== null)}
      {key('Undo last step', 'U', on.undo, canUndo)}
      <button type="button" className={`${look} border-transparent`} onClick={() => void on.stop()}>
        Stop the run here
      </button>
      {key('Spoiled …', 'X', on.spoil, cue.canSpoil, 'ml-auto border-[#e58a78] text-[#ffb4a5]')}
    </div>
  );
}
