import type { Change } from '../change/change.js';
import type { Comparison } from '../lane/compare.js';
import type { Occupancy, Use } from '../lane/occupancy.js';
import type { Span } from '../place/resolve.js';
import type { Area } from '../model/area.js';
import type { Expectation } from '../model/expectation.js';
import type { Route } from '../model/route.js';
import type { Exchange } from '../model/exchange.js';
import type { Network } from '../model/network.js';
import type { ProjectInfo } from '../model/project-info.js';
import type { Project, Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import type { Finding, Severity } from '../finding/finding.js';
import type { MessageWords, RuleWords } from '../finding/sentence.js';

/** What one message says, and how grave it is. */
export interface Message extends MessageWords {
  severity: Severity;
  /** what only this message yields to, beside what its rule does: codes, or single messages, of the same subject */
  yieldsTo?: readonly string[];
  /** the same, but only where the other points at one of the same cells */
  yieldsAtCell?: readonly string[];
}

export interface RuleMeta extends RuleWords {
  code: string;
  /** codes, or single messages (`HWS 2 outside`), that say the same of the same subject better: this one is then silent */
  yieldsTo?: readonly string[];
  /** the same, but only where the other points at one of the same cells */
  yieldsAtCell?: readonly string[];
  messages: Readonly<Record<string, Message>>;
}

/** Two claims that put data into the same bits. */
export interface Overlap {
  a: Use;
  b: Use;
  shared: Span;
}

/** Data that stays in memory between two who know nothing of each other. */
export interface Handover {
  given: { put: Use; take: Use }[];
  shared: Span;
}

/** What a rule can be run for. Once per entity; what it reads through the reader is what it depends on. */
export interface Subjects {
  project: ProjectInfo;
  network: Network;
  station: Station;
  area: Area;
  exchange: Exchange;
  route: Route;
  expectation: Expectation;
  lane: Comparison;
  overlap: Overlap;
  handover: Handover;
}
export type Scope = keyof Subjects;

export interface Context {
  reader: Reader;
  /** every entity of a kind there is; for rules of the whole project only */
  all: Project['all'];
  occupancy: Pick<Occupancy, 'inArea'>;
  /** the newest revision of another project that is known to be there; null: no such project, or several of that name */
  revisionElsewhere: (project: string) => number | null;
}

/** What a rule hands over; code, severity and key are added by the engine. */
export type Report = Omit<Finding, 'key' | 'code' | 'severity'> & {
  /** what tells this finding from others of the same rule */
  subjects: readonly string[];
};

/** A ready remedy: a change set's changes, and what they do in words. */
export interface Fix {
  label: string;
  changes: Change[];
  /** one of several that are as good: somebody has to choose, and none is taken with others */
  choice?: true;
}

export interface Rule {
  meta: RuleMeta;
  on: { [S in Scope]?: (subject: Subjects[S], context: Context) => Iterable<Report> };
  /** worked out only when asked for; the first is the one that is proposed */
  fixes?: (finding: Finding, reader: Reader) => Fix[];
}
