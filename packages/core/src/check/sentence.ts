import { RULES } from './catalogue.js';
import type { Finding, Params } from '../finding/finding.js';
import type { Message, Rule } from './rule.js';

/** A piece of a sentence; `differs` is underlined: the value that disagrees. */
export interface Piece {
  text: string;
  differs: boolean;
}

export interface FindingText {
  headline: string;
  says: Piece[][];
  consequence: string;
  remedy: string;
  title: string;
  source: string;
}

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

function filled(template: string, params: Params): string {
  return template.replace(/\{(\w+)\}/g, (_, name: string) => params[name] ?? `{${name}}`);
}

function pieces(template: string, params: Params): Piece[] {
  return template
    .split(/\[\[|\]\]/)
    .map((part, i) => ({ text: filled(part, params), differs: i % 2 === 1 }))
    .filter((piece) => piece.text !== '');
}

/** All sentences of a finding. The one place where codes become words. */
export function textOf(finding: Finding): FindingText {
  const message = messageOf(finding);
  const { title, source } = ruleOf(finding.code).meta;
  return {
    headline: filled(message.headline, finding.params),
    says: message.says.map((template) => pieces(template, finding.params)),
    consequence: filled(message.consequence, finding.params),
    remedy: filled(message.remedy, finding.params),
    title,
    source,
  };
}

/** `SkidCtl writes 5 words` without marks. */
export function plain(parts: readonly Piece[]): string {
  return parts.map((p) => p.text).join('');
}
