import { apply, type ChangeSet, type Refusal } from '@dialoga/core/change';
import { KINDS, Project } from '@dialoga/core/model';
import type { JournalEntry } from '../../api/client';

/** What a server does with change sets, without a network: once each, in order, whole or not at all. */
export class Journal {
  entries: JournalEntry[] = [];

  constructor(public project: Project) {}

  get revision(): number {
    return this.entries.length;
  }

  commit(set: ChangeSet): { revision: number } | { refusal: Refusal | null; sentence: string } {
    const known = this.entries.find((entry) => entry.set.id === set.id);
    if (known) return { revision: known.revision };
    if (set.label === NEVER) return { refusal: null, sentence: 'It is never taken.' };
    const applied = apply(this.project, set);
    if (!applied.ok) return { refusal: applied.refusal, sentence: applied.refusal.sentence };
    this.project = this.project.with(applied.entities);
    this.entries.push({ revision: this.revision + 1, author: null, set });
    return { revision: this.revision };
  }

  since(revision: number, most = 3): JournalEntry[] {
    return this.entries.slice(revision, revision + most);
  }
}

/** The label of an edit that the server refuses for good. */
export const NEVER = 'never taken';

export const station = (id: string) => ({ id, order: 1, name: id, roles: [], profile: null, party: 'own' });

/** A few stations. */
export const plant = (): Project =>
  Project.of({
    project: [{ id: 'project', name: 'P' }],
    station: ['s0', 's1', 's2'].map((id) => station(id)) as never,
  });

/** Everything that a project holds, in one order. */
export const contentOf = (project: Project): unknown =>
  KINDS.map((kind) => [...project.all(kind)].sort((a, b) => (a.id < b.id ? -1 : 1)));

/** An edit of one of the stations, as somebody would make it who sees this project: a field, one more, one away. */
export function someEdit(project: Project, id: string, n: number): ChangeSet {
  const stations = [...project.all('station')].sort((a, b) => (a.id < b.id ? -1 : 1));
  const one = stations[n % Math.max(1, stations.length)];
  const label = n % 29 === 0 ? NEVER : id;
  if (!one || n % 7 === 0) {
    return { id, label, changes: [{ kind: 'station', id: `new ${id}`, path: [], after: station(`new ${id}`) }] };
  }
  if (n % 7 === 1) {
    const drops = [...project.all('port')].filter((port) => port.station === one.id);
    const gone = [...drops.map((port) => ({ kind: 'port' as const, of: port })), { kind: 'station' as const, of: one }];
    const changes = gone.map(({ kind, of }) => ({ kind, id: of.id, path: [], before: of as never }));
    return { id, label, changes };
  }
  if (n % 7 === 2) {
    const port = { id: `port ${id}`, order: 1, name: id, station: one.id, network: null };
    return { id, label, changes: [{ kind: 'port', id: port.id, path: [], after: port }] };
  }
  const field = n % 2 === 0 ? 'name' : 'comment';
  const before = one[field];
  const change = { kind: 'station' as const, id: one.id, path: [field], after: `${field} ${id}` };
  return { id, label, changes: [before === undefined ? change : { ...change, before }] };
}
