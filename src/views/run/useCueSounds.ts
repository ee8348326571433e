/** What is heard and felt: tones on the audio clock for every running clock, one for a hot peel and for a refusal, words if wanted. */
import { useEffect, useRef, useState } from 'react';
import type { Cue, RunState } from '../../core/run';
import { serverNow, useClockTurn } from '../../ui/clock';
import { keepSounds, playTone, SOUNDS, type Sounds, speak, storedSounds, type Tone } from '../../ui/tones';
import { cueWords } from './words';

/** The cue is on the screen by then, ms. */
const AFTER_PAINT_MS = 60;

/** How loud a run is on this device, and the next way it can be. */
export function useSounds(): [Sounds, () => void] {
  const [sounds, setSounds] = useState(storedSounds);
  const next = () => {
    const then = SOUNDS[(SOUNDS.indexOf(sounds) + 1) % SOUNDS.length] ?? 'tones';
    setSounds(then);
    keepSounds(then);
    if (then !== 'silent') playTone('ready');
  };
  return [sounds, next];
}

/** A tone at an instant, the server's reckoning; called off when the instant changes. */
export function useToneAt(tone: Tone, at: number | null, sounds: Sounds): void {
  const turn = useClockTurn();
  useEffect(() => {
    const inS = at === null || sounds === 'silent' ? 0 : (at - serverNow()) / 1000;
    return inS > 0 ? playTone(tone, inS) : undefined;
  }, [tone, at, sounds, turn]);
}

/** Sounds follow the state; what was scheduled for a clock that no longer runs is called off. */
export function useCueSounds(state: RunState, cue: Cue, refusal: string | null, sounds: Sounds): void {
  const turn = useClockTurn();
  useEffect(() => {
    if (sounds === 'silent') return undefined;
    const offs: (() => void)[] = [];
    // once the cue is painted: voices take a while to make
    const later = setTimeout(() => {
      for (const { dueAt, phase } of state.active) {
        const inS = dueAt === null ? -1 : (dueAt - serverNow()) / 1000;
        if (inS > 0) offs.push(playTone(phase === 'closed' ? 'open' : 'ready', inS));
      }
    }, AFTER_PAINT_MS);
    return () => {
      clearTimeout(later);
      for (const off of offs) off();
    };
  }, [state, sounds, turn]);
  const said = useRef('');
  const words = cueWords(cue);
  useEffect(() => {
    if (said.current === words) return;
    const first = said.current === '';
    said.current = words;
    if (cue.hot && sounds !== 'silent') playTone('peel');
    if (!first && (cue.hot || cue.verb === 'Open now')) navigator.vibrate?.(cue.hot ? [80, 60, 80, 60, 160] : [240]);
    if (sounds === 'tones and words') speak(words);
  }, [words, cue.hot, cue.verb, sounds]);
  useEffect(() => {
    if (refusal && sounds !== 'silent') playTone('wrong');
  }, [refusal, sounds]);
}
