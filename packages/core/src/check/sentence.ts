import { RULES } from './catalogue.js';
import type { Finding } from '../finding/finding.js';
import { textIn, type FindingText } from '../finding/sentence.js';
import type { Message, Rule } from './rule.js';

const ruleByCode = new Map<string, Rule>(RULES.map((rule) => [rule.meta.code, rule]));

export function ruleOf(code: string): Rule {
  const rule = ruleByCode.get(code);
  if (!rule) throw new Error(`no rule has the code ${code}`);
  return rule;
}

export function messageOf(finding: Finding): Message {
  const message = ruleOf(finding.code).meta.messages[finding.message];
  if (!message) throw new Error(`${finding.code} has no message ${finding.message}`);
  return message;
}

/** All sentences of a finding. */
export const textOf = (finding: Finding): FindingText => textIn(ruleOf(finding.code).meta, finding);
