import { shownWord } from '../text/shown-word.js';
import { laneName } from '../lane/compare.js';
import type { Cell } from '../finding/finding.js';
import type { Claim } from '../model/claim.js';
import type { Entity } from '../model/kinds.js';
import type { Project } from '../model/project.js';
import { tagFieldText } from '../fields/tag-field.js';
import type { HitInPlan, HitKind } from './hit.js';

/** A name, as it is looked in; where it belongs is said when it is found. */
interface Entry {
  kind: HitKind;
  text: string;
  /** in lower case */
  lower: string;
  cell: Cell;
}

/** Made once for as long as an entity is the same: after an edit, all but one of them are there already. */
const made = new WeakMap<Entity, readonly Entry[]>();

function entriesOf<E extends Entity>(entity: E, make: (entity: E) => Entry[]): readonly Entry[] {
  let known = made.get(entity);
  if (!known) made.set(entity, (known = make(entity).filter((e) => e.text.trim() !== '')));
  return known;
}

const entry = (kind: HitKind, text: string, cell: Cell): Entry => ({ kind, text, lower: text.toLowerCase(), cell });

/** Everything that has a name: stations with their addresses, networks, exchanges, lanes and values, once for each end. */
function* everyEntry(project: Project): Generator<readonly Entry[]> {
  for (const s of project.all('station')) {
    yield entriesOf(s, ({ id, name }) => [entry('station', name, { kind: 'station', id, path: ['name'] })]);
  }
  for (const p of project.all('port')) {
    yield entriesOf(p, ({ id, address }) => [entry('station', address, { kind: 'port', id, path: ['address'] })]);
  }
  for (const n of project.all('network')) {
    yield entriesOf(n, ({ id, name }) => [entry('network', name, { kind: 'network', id, path: ['name'] })]);
  }
  for (const x of project.all('exchange')) {
    yield entriesOf(x, ({ id, name }) => [entry('exchange', name, { kind: 'exchange', id, path: ['name'] })]);
  }
  for (const r of project.all('route')) {
    // Its name is that of its stations, which may change while it stays.
    const [from, to] = [project.get('station', r.from)?.name ?? '', project.get('station', r.to)?.name ?? ''];
    yield [entry('route', `${from} → ${to}`, { kind: 'route', id: r.id, path: ['stated'] })];
  }
  for (const t of project.all('tag')) {
    yield entriesOf(t, ({ id, name, alias }) => [
      entry('tag', name, { kind: 'tag', id, path: ['name'] }),
      entry('tag', alias ?? '', { kind: 'tag', id, path: ['alias'] }),
    ]);
  }
  for (const c of project.all('claim')) yield entriesOf(c, namesOfClaim);
}

const namesOfClaim = ({ id, name, items }: Claim): Entry[] => [
  entry('lane', name, { kind: 'claim', id, path: ['name'] }),
  ...Object.keys(items).map((key) =>
    entry('value', items[key]!.name, { kind: 'claim', id, path: ['items', key, 'name'] }),
  ),
];

/** Names that hold these characters: those that begin with them first, then those with a word that does. */
export function findNames(project: Project, query: string, most: number): HitInPlan[] {
  const wanted = query.toLowerCase();
  const ranks: Entry[][] = [[], [], []];
  for (const entries of everyEntry(project)) {
    for (const one of entries) {
      const at = one.lower.indexOf(wanted);
      if (at < 0) continue;
      const list = ranks[at === 0 ? 0 : startsWord(one.text, at) ? 1 : 2]!;
      if (list.length < most) list.push(one);
    }
    if (ranks[0]!.length >= most) break;
  }
  return ranks
    .flat()
    .slice(0, most)
    .map(({ kind, text, cell }) => ({ kind, text, cell, detail: detailOf(project, cell) }));
}

/** Where a cell belongs, in words. */
function detailOf(project: Project, cell: Cell): string {
  switch (cell.kind) {
    case 'station':
      return project.get('station', cell.id)?.roles.join(', ') ?? '';
    case 'port': {
      const port = project.get('port', cell.id);
      return port ? `${project.get('station', port.station)?.name ?? ''}, ${port.name}` : '';
    }
    case 'network': {
      const network = project.get('network', cell.id);
      return network?.subnet ?? network?.kind ?? '';
    }
    case 'route':
      return shownWord(project.get('route', cell.id)?.traffic ?? '');
    case 'exchange':
      return project.get('exchange', cell.id)?.kind ?? '';
    case 'tag': {
      const tag = project.get('tag', cell.id);
      const station = tag && project.get('station', tag.station)?.name;
      return tag ? [station, tagFieldText(project, tag, 'type')].filter(Boolean).join(', ') : '';
    }
    default:
      return claimDetail(project, cell);
  }
}

function claimDetail(project: Project, { id, path }: Cell): string {
  const claim = project.get('claim', id);
  const lane = claim && project.get('lane', claim.lane);
  const end = claim && project.get('end', claim.end);
  if (!claim || !lane || !end) return '';
  const station = project.get('station', end.station)?.name ?? '';
  const where = `${station}, ${project.get('exchange', lane.exchange)?.name ?? ''}`;
  return path[0] === 'items' ? `${where}, ${claim.name || laneName(project, lane)}` : where;
}

/** After something that is no letter or digit, or at a capital after a small letter: `SuctionPressure` has two words. */
function startsWord(text: string, at: number): boolean {
  const [before = '', first = ''] = [text[at - 1], text[at]];
  return !/[\p{L}\p{N}]/u.test(before) || (/\p{Ll}|\p{N}/u.test(before) && /\p{Lu}/u.test(first));
}
