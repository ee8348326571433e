import { describe, expect, it } from 'vitest';
import { canBeRescued, RescueSchema, readRescue, rescueOf, rescueText } from './rescue';

describe('a print taken off again', () => {
  it('is read back as it was kept, whatever it came off with', () => {
    for (const rescue of [
      { minutes: 12.5, by: 'citrus solvent' },
      { minutes: 3, by: 'steam and a blade' },
    ])
      expect(readRescue(rescueText(rescue))).toEqual(rescue);
    for (const other of ['', '0 solvent', 'soon solvent', '12']) expect(readRescue(other)).toBeNull();
  });
  it('the last word counts, and other amendments say nothing of it', () => {
    const note = { field: 'note' as const, to: '5 glue' };
    const kept = (to: string) => ({ field: 'rescued' as const, to });
    expect(rescueOf([note])).toBeNull();
    expect(rescueOf([kept('5 citrus'), note, kept('15 citrus')])).toEqual({ minutes: 15, by: 'citrus' });
  });
  it('is for a spoiled piece with its transfer on', () => {
    expect(canBeRescued({ outcome: 'spoiled' })).toBe(true);
    expect(canBeRescued({ outcome: 'spoiled', lost: 'blank' })).toBe(false);
    expect(canBeRescued({ outcome: 'good' })).toBe(false);
  });
  it('bad figures are said in words', () => {
    const message = (minutes: number, by: string) => RescueSchema.safeParse({ minutes, by }).error?.issues[0]?.message;
    expect(message(0, 'x')).toBe('Half a minute at least.');
    expect(message(5, '')).toBe('What it came off with.');
  });
});
