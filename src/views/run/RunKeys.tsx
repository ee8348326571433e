/** The acts beside the cue, each with its key. Spoiled stands apart from the rest. */
import { memo } from 'react';
import type { Cue, Style } from '../../core/run';
import type { KeyedAct, Keys } from '../../ui/keys';
import type { Sounds } from '../../ui/tones';

interface RunKeysProps {
  early: Cue['early'];
  canLayBack: boolean;
  canSpoil: boolean;
  canSpot: boolean;
  /** The run keeps readings, pressure and parts pressed again. */
  isNew: boolean;
  canUndo: boolean;
  paused: boolean;
  style: Style;
  sounds: Sounds;
  keys: Keys;
  on: Record<KeyedAct | 'stop', () => unknown>;
}

/** What ending a clock before its time is called. */
const EARLY: Partial<Record<NonNullable<Cue['early']>, string>> = { opened: 'Open early', 'heat passed over': 'Close it all the same' };

export const RunKeys = memo(function RunKeys({
  early,
  canLayBack,
  canSpoil,
  canSpot,
  isNew,
  canUndo,
  paused,
  style,
  sounds,
  keys,
  on,
}: RunKeysProps) {
  const key = (text: string, act: KeyedAct, can = true, extra = '') => (
    <button
      type="button"
      className={`act max-[43.75rem]:px-3 ${extra || 'border-night-line text-white'} ${can ? '' : 'opacity-40 max-[43.75rem]:hidden'}`}
      disabled={!can}
      onClick={() => void on[act]()}
    >
      {text} <span className="key max-[43.75rem]:hidden">{keys[act].toUpperCase()}</span>
    </button>
  );
  const quiet = 'border-transparent px-1.5 max-[74.9375rem]:px-1 text-night-soft';
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-1 pt-2 text-[0.95rem] max-[74.9375rem]:gap-x-1 max-[74.9375rem]:text-[0.875rem] [contain:layout_style]">
        {key('Note', 'note', true, quiet)}
        {key('Photo', 'photo', canSpoil, quiet)}
        <span className="pl-2 text-night-soft">Set</span>
        {key('time', 'time', true, quiet)}
        {key('heat', 'heat', true, quiet)}
        {isNew && key('pressure', 'pressure', true, quiet)}
        {isNew && key('Reading', 'read', true, quiet)}
        {key(style === 'piece by piece' ? 'Piece by piece' : 'Step by step', 'goes', true, quiet)}
        {key(`Sound: ${sounds}`, 'sounds', true, quiet)}
        {key('Full screen', 'full', true, quiet)}
        {key('Keys', 'keys', true, quiet)}
        <button type="button" className={`act ${quiet} ml-auto`} onClick={() => void on.stop()}>
          Stop the run
        </button>
      </div>
      <div className="sticky bottom-14 [@media(height<500px)]:static flex flex-wrap items-center gap-3 bg-night py-2 max-[43.75rem]:gap-2">
        {key('Lay back, press again', 'layBack', canLayBack)}
        {key(EARLY[early ?? 'next'] ?? 'Cool enough already', 'early', early !== null)}
        {canSpot && key('Press a part again', 'spot')}
        {key('Undo last step', 'undo', canUndo)}
        {key(paused ? 'Go on' : 'Pause', 'pause', true, paused ? 'border-amber text-amber' : '')}
        {key('Spoiled …', 'spoil', canSpoil, 'ml-auto border-[#e58a78] text-[#ffb4a5]')}
      </div>
    </>
  );
});
