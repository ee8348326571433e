/** The acts beside the cue, each with its key. Spoiled stands apart from the rest. */
import type { Cue, Style } from '../../core/run';
import type { Sounds } from '../../ui/tones';

type Acts = 'early' | 'layBack' | 'spoil' | 'undo' | 'stop' | 'note' | 'time' | 'heat' | 'pause' | 'goes' | 'sounds' | 'full';

interface RunKeysProps {
  cue: Cue;
  canUndo: boolean;
  paused: boolean;
  style: Style;
  sounds: Sounds;
  on: Record<Acts, () => unknown>;
}

export function RunKeys({ cue, canUndo, paused, style, sounds, on }: RunKeysProps) {
  const key = (text: string, letter: string, does: () => unknown, can = true, extra = '') => (
    <button
      type="button"
      className={`act ${extra || 'border-night-line text-white'} ${can ? '' : 'opacity-40 max-[700px]:hidden'}`}
      disabled={!can}
      onClick={() => void does()}
    >
      {text} <span className="key">{letter}</span>
    </button>
  );
  const quiet = 'border-transparent px-2 text-night-soft';
  return (
    <div className="pt-3">
      <div className="flex flex-wrap items-center gap-3">
        {key('Lay back, press again', 'L', on.layBack, cue.canLayBack)}
        {key(cue.early === 'opened' ? 'Open early' : 'Cool enough already', 'O', on.early, cue.early !== null)}
        {key('Undo last step', 'U', on.undo, canUndo)}
        {key(paused ? 'Go on' : 'Pause', 'P', on.pause, true, paused ? 'border-amber text-amber' : '')}
        {key('Spoiled …', 'X', on.spoil, cue.canSpoil && cue.pieces.length > 0, 'ml-auto border-[#e58a78] text-[#ffb4a5]')}
      </div>
      <div className="flex flex-wrap items-center gap-x-2 text-[0.95rem]">
        {key('Note', 'N', on.note, true, quiet)}
        {key('Set time', 'T', on.time, true, quiet)}
        {key('Set heat', 'H', on.heat, true, quiet)}
        {key(`Goes ${style}`, 'G', on.goes, true, quiet)}
        {key(`Sound: ${sounds}`, 'M', on.sounds, true, quiet)}
        {key('Full screen', 'F', on.full, true, quiet)}
        <button type="button" className={`act ${quiet} ml-auto`} onClick={() => void on.stop()}>
          Stop the run here
        </button>
      </div>
    </div>
  );
}
