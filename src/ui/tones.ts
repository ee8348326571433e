/** The sounds of a run, made here: one for opening, one for a peel, one for a piece that is ready, one for what went wrong. */
import { remember, remembered } from './browserMemory';

/** Hertz and seconds of each note, one after the other. */
const TONES = {
  open: [
    [660, 0.16],
    [880, 0.16],
    [1175, 0.3],
  ],
  peel: [
    [1320, 0.09],
    [0, 0.05],
    [1320, 0.09],
    [0, 0.05],
    [1320, 0.22],
  ],
  ready: [
    [523, 0.14],
    [392, 0.34],
  ],
  wrong: [
    [196, 0.18],
    [0, 0.04],
    [156, 0.34],
  ],
} as const;
export type Tone = keyof typeof TONES;

const LOUD = 0.4;
/** A note rises and falls this long, s, so that it does not click. */
const EDGE_S = 0.012;

let context: AudioContext | null = null;

/** Null until a hand has touched the page: browsers let none sound before. */
function sounding(): AudioContext | null {
  try {
    context ??= new AudioContext();
    if (context.state === 'suspended') void context.resume();
    return context;
  } catch {
    return null;
  }
}

/**
 * Plays a tone after a while, on the audio clock, which no busy page holds up.
 *
 * @param inS seconds from now
 * @returns calls it off
 */
export function playTone(tone: Tone, inS = 0): () => void {
  const audio = sounding();
  if (!audio) return () => undefined;
  let at = audio.currentTime + Math.max(0, inS);
  const voices: OscillatorNode[] = [];
  for (const [hertz, seconds] of TONES[tone]) {
    if (hertz > 0) {
      const voice = audio.createOscillator();
      const gain = audio.createGain();
      voice.type = tone === 'wrong' ? 'sawtooth' : 'triangle';
      voice.frequency.value = hertz;
      gain.gain.setValueAtTime(0, at);
      gain.gain.linearRampToValueAtTime(LOUD, at + EDGE_S);
      gain.gain.setValueAtTime(LOUD, at + seconds - EDGE_S);
      gain.gain.linearRampToValueAtTime(0, at + seconds);
      voice.connect(gain).connect(audio.destination);
      voice.start(at);
      voice.stop(at + seconds);
      voices.push(voice);
    }
    at += seconds;
  }
  return () => {
    for (const voice of voices) voice.disconnect();
  };
}

/** Says words aloud where the browser can. */
export function speak(words: string): void {
  if (typeof speechSynthesis === 'undefined') return;
  speechSynthesis.cancel();
  speechSynthesis.speak(new SpeechSynthesisUtterance(words));
}

/** How loud runs are on this device. */
export const SOUNDS = ['tones', 'tones and words', 'silent'] as const;
export type Sounds = (typeof SOUNDS)[number];

export function storedSounds(): Sounds {
  const was = remembered('sounds');
  return SOUNDS.find((sound) => sound === was) ?? 'tones';
}

export const keepSounds = (sounds: Sounds): void => remember('sounds', sounds);
