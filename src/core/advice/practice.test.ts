import { describe, expect, it } from 'vitest';
import { inputOf } from '../../../test/trade/check';
import { benchStack } from './benchStack';
import { deal, type Mistake, play, SITUATIONS } from './practice';

const own = benchStack(inputOf({ says: 'practice', on: 'cotton-tee', with: 'cut-film' }));
if (!own) throw new TypeError('no stack');
const dealt = (id: string) => {
  const at = SITUATIONS.findIndex((situation) => situation.id === id);
  const entry = deal([own], {}, [(at + 0.5) / SITUATIONS.length, 0]);
  if (!entry) throw new TypeError('nothing dealt');
  return entry;
};
const usual = { setC: own.set.tempC, timeS: own.set.timeS, prePressS: 5, peelS: 30 };

describe('practice', () => {
  it('deals every situation, and leans to what was missed', () => {
    expect(SITUATIONS.map(({ id }) => dealt(id).situation.id)).toEqual(SITUATIONS.map(({ id }) => id));
    const share = (missed: Partial<Record<Mistake, number>>) =>
      Array.from({ length: 400 }, (_, i) => deal([own], missed, [(i + 0.5) / 400, 0])?.situation.tempts).filter((tempts) =>
        tempts?.includes('marked'),
      ).length / 400;
    expect(share({ marked: 10 })).toBeGreaterThan(2 * share({}));
    expect(deal([], {}, [0, 0])).toBeNull();
  });
  it('an ordinary piece at the card’s own setting, peeled as its sheet says, has a full score', () => {
    const clock = play(dealt('an ordinary one'), { ...usual, peelS: 600 }).seen.read.peel;
    const peelS = { hot: 2, none: 0, warm: (clock?.warmS ?? 0) + 2, cold: (clock?.coldS ?? 0) + 2 }[own.peel];
    const outcome = play(dealt('an ordinary one'), { ...usual, peelS });
    expect(outcome.mistakes).toEqual([]);
    expect(outcome.score).toBe(100);
  });
  it('the usual setting on a cold morning is too little, and the time it names is longer', () => {
    const outcome = play(dealt('a cold morning'), { ...usual, timeS: own.allowed.timeS.min });
    expect(outcome.mistakes).toContain('too little');
    expect(outcome.better.timeS).toBeGreaterThan(own.allowed.timeS.min);
    expect(outcome.score).toBeLessThan(100);
  });
  it('a press that runs hot gives the glue more than its readout says', () => {
    const [true_, hot] = ['an ordinary one', 'a hot press'].map((id) => play(dealt(id), usual).seen.read);
    expect((hot?.glueC ?? 0) - (true_?.glueC ?? 0)).toBeGreaterThan(5);
  });
  it('a cold peel done at once is too hot, with the temperature it was peeled at', () => {
    const outcome = play({ ...dealt('an ordinary one'), stack: { ...own, peel: 'cold' } }, { ...usual, peelS: 5 });
    expect(outcome.mistakes).toContain('peeled too hot');
    expect(outcome.peeledC).toBeGreaterThan(60);
  });
});
