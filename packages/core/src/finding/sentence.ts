import type { Finding, Params } from './finding.js';

/** Sentences of one message, with `{parameters}`. `[[…]]` is underlined: the value that disagrees. */
export interface MessageWords {
  /** one line for lists and the finding line */
  headline: string;
  /** what each party says, in the order of the finding's parties */
  says: readonly string[];
  /** why it matters */
  consequence: string;
  /** what to do next */
  remedy: string;
}

/** All that a rule says, without what finds it. */
export interface RuleWords {
  title: string;
  source: string;
  messages: Readonly<Record<string, MessageWords>>;
}

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

function filled(template: string, params: Params): string {
  return template.replace(/\{(\w+)\}/g, (_, name: string) => params[name] ?? `{${name}}`);
}

function pieces(template: string, params: Params): Piece[] {
  return template
    .split(/\[\[|\]\]/)
    .map((part, i) => ({ text: filled(part, params), differs: i % 2 === 1 }))
    .filter((piece) => piece.text !== '');
}

/** All sentences of a finding, by the words of its rule. The one place where codes become words. */
export function textIn({ title, source, messages }: RuleWords, { code, message, params }: Finding): FindingText {
  const words = messages[message];
  if (!words) throw new Error(`${code} has no message ${message}`);
  return {
    headline: filled(words.headline, params),
    says: words.says.map((template) => pieces(template, params)),
    consequence: filled(words.consequence, params),
    remedy: filled(words.remedy, params),
    title,
    source,
  };
}

/** `SkidCtl writes 5 words` without marks. */
export function plain(parts: readonly Piece[]): string {
  return parts.map((p) => p.text).join('');
}
