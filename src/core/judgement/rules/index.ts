/** Every rule beside temperature, and the findings of those that are met. */
import type { Draft, PreparedInput } from '../../draft';
import type { Finding } from '../finding';
import { FABRIC_RULES } from './fabric';
import { HARD_RULES } from './hard';
import { LAYER_RULES } from './layers';
import { PLACE_RULES } from './place';
import { PRESS_RULES } from './press';
import type { Rule } from './rule';
import { SETTING_RULES } from './settings';

export const RULES: readonly Rule[] = [...PRESS_RULES, ...PLACE_RULES, ...FABRIC_RULES, ...HARD_RULES, ...SETTING_RULES, ...LAYER_RULES];

/** Every rule the piece meets, in the order of the table. */
export function ruleFindings(input: PreparedInput, draft: Draft, rules: readonly Rule[]): Finding[] {
  const findings: Finding[] = [];
  for (const { id, field, level, evaluate } of rules) {
    const says = evaluate(input, draft);
    if (says) findings.push({ from: 'rule', rule: id, field, level, says });
  }
  return findings;
}

export type { Rule } from './rule';
