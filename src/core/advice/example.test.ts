import { describe, expect, it } from 'vitest';
import { type HouseRules, HouseSchema, SCHOOLS, STARTING_HOUSE } from '../house';
import { phraseText } from '../units';
import { schoolExample } from './example';

const rules = Object.keys(STARTING_HOUSE.rules) as (keyof HouseRules)[];

describe('the schools', () => {
  it('ask about every house rule once, and every answer is one the house takes', () => {
    expect(SCHOOLS.map((school) => school.rule).sort()).toEqual([...rules].sort());
    for (const { rule, answers } of SCHOOLS)
      for (const { value } of answers)
        expect(
          HouseSchema.safeParse({ ...STARTING_HOUSE, rules: { ...STARTING_HOUSE.rules, [rule]: value } }).success,
          `${rule} ${value}`,
        ).toBe(true);
  });
  it('a house from before a question was asked takes the answer a new shop starts with', () => {
    const { felt: _, ...older } = STARTING_HOUSE.rules;
    expect(HouseSchema.parse({ ...STARTING_HOUSE, rules: older }).rules).toEqual(STARTING_HOUSE.rules);
    expect(HouseSchema.safeParse({ ...STARTING_HOUSE, rules: { ...older, felt: 'perhaps' } }).success).toBe(false);
  });
  it('say of every answer what it changes', () => {
    for (const { answers } of SCHOOLS) for (const { changes } of answers) expect(changes.length).toBeGreaterThan(12);
  });
  it.each(rules)('%s: the example shows a difference between its answers', (rule) => {
    const { answers, piece } = schoolExample(rule, STARTING_HOUSE);
    const said = answers.map(({ facts, steps }) =>
      [...facts.map(({ says }) => says), ...steps].map((says) => phraseText(says, STARTING_HOUSE.units)).join(' | '),
    );
    expect(piece.length).toBeGreaterThan(5);
    expect(new Set(said).size).toBe(answers.length);
  });
  it('show the figures in the house’s own units', () => {
    const inch = { ...STARTING_HOUSE, units: { temperature: 'F' as const, length: 'in' as const, linePressure: 'psi' as const } };
    const set = schoolExample('unmeasured', inch).answers[0]?.facts.find(({ name }) => name === 'Set to');
    expect(phraseText(set?.says ?? [], inch.units)).toMatch(/°F$/);
  });
});
