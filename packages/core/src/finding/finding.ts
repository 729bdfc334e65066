import type { Kind } from '../model/kinds.js';

export const SEVERITIES = ['blocker', 'doubt', 'hint'] as const;
/** Blocker: will not work, or will corrupt data. Doubt: may work, but someone must confirm it. Hint. */
export type Severity = (typeof SEVERITIES)[number];

/** A cell on screen: the field of an entity that a finding is about. */
export interface Cell {
  kind: Kind;
  id: string;
  path: readonly string[];
}

/** One of those who disagree, and what it says, with which parameters. */
export interface Party {
  station: string;
  /** its end of the exchange, where it is one */
  end?: string;
}

export type Params = Readonly<Record<string, string>>;

/** What a rule found. Codes and parameters; sentences are made in sentence.ts. */
export interface Finding {
  /** code and subjects: stable over edits of anything else */
  key: string;
  code: string;
  /** which of the rule's messages */
  message: string;
  severity: Severity;
  /** what it is listed under: an exchange, a station, a network, or the project */
  about: { kind: Kind; id: string; name: string };
  /** the lane, where it is about one */
  lane?: string;
  /** the lanes, where one cause shows in several */
  lanes?: readonly string[];
  /** the value in the lane, where it is about one */
  item?: string;
  parties: readonly Party[];
  /** where it shows; the first is where 'Show' goes */
  cells: readonly Cell[];
  params: Params;
  /** words for the difference column */
  label: string;
}

/** The lanes that a finding is about: one, several, or none where it is about something else. */
export const lanesOf = ({ lane, lanes }: Pick<Finding, 'lane' | 'lanes'>): readonly string[] =>
  lanes ?? (lane ? [lane] : []);
