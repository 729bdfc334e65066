import { apply } from '../change/apply.js';
import type { ChangeSet } from '../change/change.js';
import { put, set } from '../change/make.js';
import { RULES } from '../check/catalogue.js';
import { CheckEngine } from '../check/engine.js';
import type { Finding } from '../finding/finding.js';
import { textOf } from '../check/sentence.js';
import { plain } from '../finding/sentence.js';
import type { Area } from '../model/area.js';
import type { Claim } from '../model/claim.js';
import { newArea, newEnd, newExchange, newNetwork, newPort, newStation } from '../create/new-entities.js';
import type { Entity, EntityOf, Kind } from '../model/kinds.js';
import type { Profile } from '../model/profile.js';
import { Project } from '../model/project.js';

/**
 * The smallest project in which everything agrees: A calls B over Modbus TCP and writes two REAL to it.
 * Rules are tested by editing it. Both count words: `a…` and `b…`.
 */
export function twoStations(): Project {
  const profile = (id: string, prefix: string): Profile => ({
    id,
    order: 10,
    name: `Profile ${prefix}`,
    layout: {},
    views: {
      [`v${prefix}`]: {
        order: 10,
        name: 'words',
        areaKind: 'memory',
        notation: 'prefix and number',
        prefix,
        unit: 16,
        first: 0,
      },
    },
    limits: {},
    nameRule: { caseMatters: false, source: 'its manual' },
    words: {},
  });
  const area = (id: string, station: string): Area => ({ ...newArea(id, 10, station, 'Memory'), words: 1000 });
  const port = (id: string, station: string, last: number) => ({
    ...newPort(id, 10, station, 'net'),
    address: `10.0.0.${last}`,
  });
  const claim = (id: string, end: string, rest: Partial<Claim>): Claim => ({
    id,
    lane: 'lane',
    end,
    name: `Block ${id}`,
    direction: 'writes',
    place: null,
    length: { count: 4, unit: 16 },
    type: { base: 'REAL', count: 2 },
    swap: null,
    items: {},
    toldPlace: null,
    ...rest,
  });
  return Project.of({
    project: [{ id: 'project', name: 'Two stations' }],
    profile: [profile('pa', 'a'), profile('pb', 'b')],
    station: [
      { ...newStation('sa', 10, 'A'), profile: 'pa' },
      { ...newStation('sb', 20, 'B'), profile: 'pb' },
    ],
    network: [newNetwork('net', 10, 'Net')],
    port: [port('porta', 'sa', 1), port('portb', 'sb', 2)],
    area: [area('areaa', 'sa'), area('areab', 'sb')],
    exchange: [newExchange('x', 10, 'Exchange', 'modbus-tcp')],
    end: [
      {
        ...newEnd('ea', 10, 'x', 'sa', 'porta', 'calls'),
        told: { eb: { address: '10.0.0.2', tcpPort: '', unit: '' } },
      },
      newEnd('eb', 20, 'x', 'sb', 'portb', 'listens'),
    ],
    lane: [{ id: 'lane', order: 10, exchange: 'x', items: {} }],
    claim: [
      claim('ca', 'ea', { place: { area: 'areaa', view: 'va', number: 100 }, toldPlace: 'b200' }),
      claim('cb', 'eb', { direction: 'reads', place: { area: 'areab', view: 'vb', number: 200 } }),
    ],
  });
}

export type FieldEdit = readonly [kind: Kind, id: string, path: string, value: unknown];

/** The project after these fields were set, through the core's own `apply`. `path` is dotted. */
export function edited(project: Project, ...edits: FieldEdit[]): Project {
  let now = project;
  for (const [kind, id, path, value] of edits) {
    const entity = now.get(kind, id);
    if (!entity) throw new Error(`no ${kind} ${id}`);
    now = applied(now, { id: 'e', label: '', changes: [set(kind, entity, path.split('.'), value)] });
  }
  return now;
}

export function added<K extends Kind>(project: Project, kind: K, ...entities: EntityOf[K][]): Project {
  return applied(project, { id: 'a', label: '', changes: entities.map((e) => put(kind, e)) });
}

export function without(project: Project, kind: Kind, id: string): Project {
  const before = project.get(kind, id) as Entity;
  return applied(project, { id: 'w', label: '', changes: [{ kind, id, path: [], before: before as never }] });
}

export function applied(project: Project, changeSet: ChangeSet): Project {
  const result = apply(project, changeSet);
  if (!result.ok) throw new Error(result.refusal.sentence);
  return project.with(result.entities);
}

export function findingsOf(project: Project): Finding[] {
  return [...new CheckEngine(project).findings.values()];
}

/** Codes of everything found, in order. */
export function codesOf(project: Project): string[] {
  return findingsOf(project)
    .map((f) => f.code)
    .sort();
}

/** The one finding of this code; fails where there is none or more than one. */
export function theFinding(project: Project, code: string): Finding {
  const found = findingsOf(project).filter((f) => f.code === code);
  if (found.length !== 1) throw new Error(`${found.length} findings of ${code}; found ${codesOf(project).join(', ')}`);
  return found[0]!;
}

/** All sentences of a finding in one text. */
export function wordsOf(finding: Finding): string {
  const text = textOf(finding);
  return [text.headline, ...text.says.map(plain), text.consequence, text.remedy].join('\n');
}

/** The project after a finding's fix. */
export function fixed(project: Project, finding: Finding, choice = 0): Project {
  const rule = ruleFor(finding);
  const fix = rule.fixes?.(finding, project)[choice];
  if (!fix) throw new Error(`${finding.code} has no fix ${choice}`);
  return applied(project, { id: 'fix', label: fix.label, changes: fix.changes });
}

function ruleFor(finding: Finding) {
  const rule = RULES.find((r) => r.meta.code === finding.code);
  if (!rule) throw new Error(`no rule ${finding.code}`);
  return rule;
}
