/** What is told beside a cue: each step where its harm and its work are. */
import { describe, expect, it } from 'vitest';
import { inputOf } from '../../../test/trade/check';
import { type Card, resolve } from '../card';
import { phraseText } from '../units';
import { howOf, stageWords } from './how';

const HOUSE = { temperature: 'C', length: 'mm', contactPressure: 'kPa', linePressure: 'bar' } as const;
const card = (change: Partial<Parameters<typeof inputOf>[0]> = {}): Card =>
  resolve(inputOf({ says: 'a tee', on: 'cotton-tee', with: 'cut-film', item: { size: 'M' }, ...change }));

/** What is told at the n-th stage of a kind, in words. */
function told(entry: Card, kind: string, act: 'next' | 'closed' | 'opened' | 'peeled' | 'kept' | null, nth = 0) {
  const stage = entry.stages.flatMap((s, i) => (s.kind === kind ? [i] : []))[nth] ?? -1;
  const how = howOf(entry, { stage, act });
  return { says: how.says.map((s) => phraseText(s, HOUSE)), safety: how.safety.map((s) => phraseText(s, HOUSE)), parts: how.parts };
}

describe('what is told beside a cue', () => {
  it('is the danger of every closing, before it closes, and nothing while it is shut', () => {
    for (const entry of [card(), card({ with: 'two-sheet-toner' }), card({ on: 'ceramic-tile', with: 'hard-paper-smooth' })])
      entry.stages.forEach(({ by }, stage) => {
        if (by !== 'press') return;
        expect(
          howOf(entry, { stage, act: 'closed' })
            .safety.map((s) => phraseText(s, HOUSE))
            .join(' '),
        ).toMatch(/hands clear/);
        expect(howOf(entry, { stage, act: null })).toEqual({ says: [], safety: [], parts: false });
      });
  });
  it('parts married sheets by their own words and movement, and peels the print by others', () => {
    const two = card({ with: 'two-sheet-toner' });
    const parting = told(two, 'peel', 'peeled');
    expect(parting).toMatchObject({ parts: true });
    expect(parting.says.join()).toMatch(/ease in, let it run, ease off/);
    expect(parting.safety.join()).toMatch(/gloves|finger guards/);
    const last = told(two, 'peel', 'peeled', 1);
    expect(last.parts).toBe(false);
    expect(last.says.join()).toMatch(/low and steady, one way/);
  });
  it('a lower layer is not peeled by the words of the print over it, which may be hotter or colder', () => {
    const stages = card().stages.flatMap((stage) =>
      stage.kind === 'press'
        ? [{ ...stage, kind: 'tack' as const }, { ...stage, kind: 'peel' as const, by: 'hands' as const }, stage]
        : [stage],
    );
    const layered = { ...card(), stages };
    expect(told(layered, 'peel', 'peeled').says).toEqual([]);
    expect(told(layered, 'peel', 'peeled').safety.join()).toMatch(/gloves|finger guards/);
    expect(told(layered, 'peel', 'peeled', 1).says.join()).toMatch(/low and steady, one way/);
  });
  it('says where the print goes as it is placed, and to look at it in the end', () => {
    expect(told(card(), 'place', 'next').says.join(' ')).toMatch(/^Place /);
    expect(told(card(), 'inspect', 'kept').says.join(' ')).toMatch(/^.*Look it over/);
    expect(howOf(card(), { stage: -1, act: null }).says).toEqual([]);
  });

  it('a full press tells the time it is set to now; what else is closed keeps its own', () => {
    const stages = card().stages.filter(({ by }) => by === 'press');
    const words = (setS: number | null) =>
      stages.map((stage) => phraseText(stageWords(stage, { setS, sets: {} }), HOUSE).replaceAll('\u00a0', ' '));
    const [before, press] = words(null);
    expect(words(null)).toEqual(stages.map(({ says }) => phraseText(says, HOUSE).replaceAll('\u00a0', ' ')));
    expect(words(14)).toEqual([before, press?.replace('12 s', '14 s')]);
    expect(press).toContain('12 s');
  });
});
