/** Single-letter keys of the acts at the press, as this device has them. */

import { useSyncExternalStore } from 'react';
import { remember, remembered } from './browserMemory';

const USUAL = {
  early: 'o',
  layBack: 'l',
  spoil: 'x',
  undo: 'u',
  pause: 'p',
  note: 'n',
  photo: 'c',
  time: 't',
  heat: 'h',
  pressure: 'b',
  read: 'r',
  spot: 's',
  goes: 'g',
  sounds: 'm',
  full: 'f',
  keys: 'k',
} as const;
export type KeyedAct = keyof typeof USUAL;
export type Keys = Readonly<Record<KeyedAct, string>>;
export const KEYED_ACTS = Object.keys(USUAL) as readonly KeyedAct[];

const isLetter = (key: unknown): key is string => typeof key === 'string' && /^[a-z]$/.test(key);

/** What was kept, as far as it can be believed: one letter for each act, and none twice. */
export function readKeys(text: string | null): Keys {
  try {
    const own = JSON.parse(text ?? '{}') as Partial<Record<KeyedAct, unknown>>;
    const taken = new Set(Object.values(own));
    const free = [...'abcdefghijklmnopqrstuvwxyz'].filter((letter) => !taken.has(letter) && !Object.values<string>(USUAL).includes(letter));
    // an act that came with a newer app leaves an older choice its letter
    const stored = Object.fromEntries(
      KEYED_ACTS.map((act) => [act, own[act] ?? (taken.has(USUAL[act]) ? free.shift() : USUAL[act])]),
    ) as Record<KeyedAct, unknown>;
    const letters = KEYED_ACTS.map((act) => stored[act]);
    if (!letters.every(isLetter) || new Set(letters).size !== letters.length) return USUAL;
    return Object.fromEntries(KEYED_ACTS.map((act) => [act, stored[act]])) as Keys;
  } catch {
    return USUAL;
  }
}

/** Gives an act another letter; the act that had it takes the one that comes free. */
export function withKey(keys: Keys, act: KeyedAct, letter: string): Keys {
  if (!isLetter(letter)) return keys;
  const had = KEYED_ACTS.find((act) => keys[act] === letter);
  return { ...keys, ...(had && { [had]: keys[act] }), [act]: letter };
}

let keys: Keys | null = null;
const listeners = new Set<() => void>();

function current(): Keys {
  keys ??= readKeys(remembered('keys'));
  return keys;
}

function keep(next: Keys): void {
  keys = next;
  for (const listener of listeners) listener();
  remember('keys', JSON.stringify(next));
}

export const changeKey = (act: KeyedAct, letter: string): void => keep(withKey(current(), act, letter));
export const usualKeys = (): void => keep(USUAL);

export function useKeys(): Keys {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    current,
    () => USUAL,
  );
}
