/** What the press shows is true at every stage: the figures of the closing in hand, never those of another. */
import { describe, expect, it } from 'vitest';
import { inputOf } from '../../../test/trade/check';
import { RULES } from '../judgement';
import { FAMILIES, productFromFamily } from '../sheet';
import { closingsOfCard, figuresAt } from './closings';
import { resolve } from './resolve';

const married = resolve(inputOf({ says: 'two sheets', on: 'cotton-tee', with: 'two-sheet-toner' }));
const at = (kind: string, nth = 0) => married.stages.flatMap((stage, i) => (stage.kind === kind ? [i] : []))[nth] ?? -1;

describe('the figures of the closing in hand', () => {
  it('while sheets are married they are the marry’s: its heat, its minute and more, its hot peel', () => {
    const marry = married.stages[at('marry')];
    expect(figuresAt(married, at('marry'))).toMatchObject({ kind: 'marry', tempC: marry?.setC, timeS: marry?.timeS, peel: 'hot' });
    // parting the sheets still belongs to it
    expect(figuresAt(married, at('peel'))).toMatchObject({ kind: 'marry', peel: 'hot' });
    expect(marry?.timeS).toBeGreaterThan(60);
  });
  it('while the garment is loaded and placed they are those of the closing that comes next', () => {
    const next = married.stages.slice(at('load')).find(({ by }) => by === 'press');
    expect(figuresAt(married, at('load'))).toMatchObject({ kind: next?.kind, timeS: next?.timeS });
    expect(figuresAt(married, at('place'))).toMatchObject({ kind: 'press', peel: 'cold' });
  });
  it('while it cools and is peeled they are still the press’s; in the second press they are its own, without a peel', () => {
    expect(figuresAt(married, at('wait'))).toMatchObject({ kind: 'press', timeS: married.set.timeS, tempC: married.set.tempC });
    expect(figuresAt(married, at('peel', 1))).toMatchObject({ kind: 'press', peel: 'cold' });
    if (at('finish') >= 0) expect(figuresAt(married, at('finish'))).toMatchObject({ kind: 'finish', peel: 'none' });
  });
  it('a card from before closings had figures of their own still tells heat and time of each', () => {
    const old = { ...married, stages: married.stages.map(({ set: _, ...stage }) => stage) };
    expect(figuresAt(old, at('marry'))).toMatchObject({ kind: 'marry', tempC: married.stages[at('marry')]?.setC, peel: 'none' });
    expect(closingsOfCard(old).map(({ kind }) => kind)).toEqual(closingsOfCard(married).map(({ kind }) => kind));
  });
});

describe('the table of rules', () => {
  it('has no two under one id: a finding names one rule', () => {
    const ids = RULES.map(({ id }) => id);
    expect(ids.filter((id, i) => ids.indexOf(id) !== i)).toEqual([]);
  });
});

describe('figures on a card', () => {
  it('a platen no press comes near is told in words, not as a figure', () => {
    const cold = resolve(
      inputOf({
        says: 'split over a thin cloth',
        on: 'three-fibre-tee',
        with: 'stretch-film',
        press: 'twoSided',
        choices: { heat: 'split' },
      }),
    );
    const figures = [...cold.reasons, ...cold.lamp.findings].flatMap(({ says }) =>
      says.flatMap((part) => (typeof part !== 'string' && part.q === 'temperature' ? [part.v] : [])),
    );
    expect(figures.length).toBeGreaterThan(3);
    expect(figures.filter((value) => value < -40 || value > 320)).toEqual([]);
  });
  const PRODUCT_STAGES = productFromFamily(FAMILIES['cut-film'], '2026-01-01').stages;
  it('what is far from anything its sheet means has no figure of a bond, and is never Clear', () => {
    const long = resolve(
      inputOf({
        says: 'a fifteenth of the time its sheet means',
        on: 'cotton-tee',
        with: 'cut-film',
        product: { stages: PRODUCT_STAGES.map((stage) => ({ ...stage, timeS: { form: 'range', min: 8, max: 300 } })) },
        choices: { timeS: 10 },
      }),
    );
    expect(long.heat).toBeUndefined();
    expect(long.lamp.state).not.toBe('clear');
    expect(long.lamp.findings.map(({ from, rule }) => [from, rule])).toContainEqual(['heat', 'not known']);
  });
});
