import { describe, expect, it } from 'vitest';
import { KEYED_ACTS, readKeys, withKey } from './keys';

describe('keys at the press', () => {
  const usual = readKeys(null);
  it('an act takes another letter, and the act that had it takes the one that came free', () => {
    const swapped = withKey(usual, 'spoil', 'o');
    expect([swapped.spoil, swapped.early]).toEqual(['o', 'x']);
    expect(withKey(usual, 'spoil', 'z').spoil).toBe('z');
  });
  it('no two acts ever share a letter, and only letters are taken', () => {
    let keys = usual;
    for (const [i, act] of KEYED_ACTS.entries())
      for (const letter of 'oxqz1 é') keys = withKey(keys, act, i % 2 ? letter : letter.toUpperCase());
    expect(new Set(Object.values(keys)).size).toBe(KEYED_ACTS.length);
    expect(Object.values(keys).join('')).toMatch(/^[a-z]+$/);
  });
  it('what was kept is taken back as it was; what cannot be is the usual', () => {
    const kept = withKey(usual, 'pause', 'b');
    expect(readKeys(JSON.stringify(kept))).toEqual(kept);
    for (const bad of ['', '{', '[]', '{"pause":7}', '{"pause":"ab"}', 'null']) expect(readKeys(bad)).toEqual(usual);
    // an act that came with a later version has its usual key, or where that was given away a free one
    const before = readKeys('{"pause":"r"}');
    expect(before).toMatchObject({ pause: 'r', note: 'n', time: 't' });
    expect(new Set(Object.values(before)).size).toBe(KEYED_ACTS.length);
  });
});
