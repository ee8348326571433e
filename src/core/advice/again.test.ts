/** A print pressed again: every closing as it was, whatever shelf and house say since. */
import { describe, expect, it } from 'vitest';
import { type Case, inputOf } from '../../../test/trade/check';
import { type Card, resolve } from '../card';
import type { ResolveInput } from '../draft';
import { STARTING_HOUSE } from '../house';
import { phraseText } from '../units';
import { changesSince, choicesToRepeat } from './again';

const input = (change: Partial<Case> = {}): ResolveInput =>
  inputOf({ says: 'again', on: 'cotton-tee', with: 'two-sheet-toner', ...change });
const repeated = (was: Card, now: ResolveInput): Card => {
  const choices = choicesToRepeat(was, resolve(now), now.print.choices);
  return resolve({ ...now, print: { ...now.print, choices } });
};
const closings = (card: Card) =>
  card.stages.filter(({ by }) => by === 'press').map(({ kind, timeS, setC, set }) => [kind, timeS, setC, set?.band]);
const said = (was: Card, now: ResolveInput) =>
  changesSince(was, resolve(now)).map((says) => phraseText(says, STARTING_HOUSE.units).replaceAll('\u00a0', ' '));

describe('a print pressed again', () => {
  it('keeps every closing though the house has since kept other seconds and another heat', () => {
    const was = resolve(input());
    const later = input({
      keepsStages: [
        { stage: 'marry', of: 'time', value: 70 },
        { stage: 'marry', of: 'temperature', value: 165 },
        { stage: 'pre-press', of: 'time', value: 0 },
        { stage: 'finish', of: 'time', value: 9 },
        { stage: 'marry', of: 'pressure', value: 'heavy' },
        { of: 'pressure', value: 'light' },
      ],
    });
    expect(closings(resolve(later))).not.toEqual(closings(was));
    expect(closings(repeated(was, later))).toEqual(closings(was));
    expect(said(was, later)).toEqual(
      expect.arrayContaining([
        'Marry was 1:45; now 1:10.',
        'Marry was pressed medium; now heavy.',
        'Pressure was medium; now light.',
        'There was a pre-press; now there is none.',
        'Second press was 16 s; now 9 s.',
      ]),
    );
  });
  it('has no second press though the house presses twice since', () => {
    const was = resolve(input({ with: 'cut-film' }));
    const later = input({ with: 'cut-film', rules: { secondPress: 'always' } });
    expect(closings(repeated(was, later))).toEqual(closings(was));
  });
  it('chooses nothing where nothing has changed', () => {
    const was = resolve(input());
    expect(choicesToRepeat(was, resolve(input()), {})).toEqual({});
    expect(said(was, input())).toEqual([]);
  });
});
