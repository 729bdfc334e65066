import { itemFacts } from '../../../lane/item-facts.js';
import type { Kind } from '../../../model/kinds.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Report, Rule } from '../../rule.js';

export const nameTwice: Rule = {
  meta: {
    code: 'NAM 2',
    title: 'A name stands for one thing in its place',
    source: 'IEC 61131-3, identifiers: case does not distinguish; a profile may say otherwise for its stations',
    messages: {
      twice: {
        severity: 'blocker',
        headline: '{where}: {count} {things} are called {name}',
        says: ['[[{name}]] stands for {count} {things}'],
        consequence: 'Which one is meant depends on who reads it.',
        remedy: 'Rename all but one.',
      },
      item: {
        severity: 'blocker',
        headline: '{lane}: {count} values of {a} are called {name}',
        says: ['{aName}: [[{name}]] stands for {count} values'],
        consequence: 'Which value is meant depends on who reads it.',
        remedy: 'Rename all but one.',
      },
    },
  },
  on: {
    *project(info, { all }) {
      for (const [kind, things] of [
        ['station', 'stations'],
        ['network', 'networks'],
        ['exchange', 'exchanges'],
      ] as const) {
        const entities = [...all(kind)] as { id: string; name: string }[];
        for (const [name, ids] of repeated(
          entities.map((e) => [e.id, e.name] as const),
          false,
        )) {
          yield repeatedReport(kind, ids, { where: info.name || 'The project', things, name });
        }
      }
    },
    *station(station, { reader }) {
      const areas = childrenOf(reader, 'area', station.id);
      for (const [name, ids] of repeated(
        areas.map((a) => [a.id, a.name] as const),
        false,
      )) {
        yield repeatedReport('area', ids, { where: station.name, things: 'areas', name }, station.id);
      }
      const tags = childrenOf(reader, 'tag', station.id);
      if (tags.length < 2) return;
      const profile = station.profile ? reader.get('profile', station.profile) : undefined;
      // A name local to one program is another than a global one, or one of another program.
      const programs = new Set(tags.map((tag) => tag.program ?? ''));
      for (const program of programs) {
        const names = tags.filter((tag) => (tag.program ?? '') === program).map((tag) => [tag.id, tag.name] as const);
        for (const [name, ids] of repeated(names, profile?.nameRule.caseMatters ?? false)) {
          if (inDifferentGroups(reader, ids)) continue;
          yield repeatedReport('tag', ids, { where: station.name, things: 'tags', name }, station.id);
        }
      }
    },
    *lane(comparison, context) {
      for (const side of comparison.sides) {
        const profile = side.station.profile ? context.reader.get('profile', side.station.profile) : undefined;
        if (!itemFacts(side.claim).namedTwice) continue;
        const names = Object.entries(side.claim.items).map(([key, item]) => [key, item.name] as const);
        for (const [name, keys] of repeated(names, profile?.nameRule.caseMatters ?? false)) {
          yield laneReport(context, comparison, {
            message: 'item',
            label: 'name twice',
            sides: [side],
            item: keys[1]!,
            cells: [...keys].reverse().map((key) => claimCell(side, 'items', key, 'name')),
            params: { name, count: String(keys.length) },
            subjects: [side.claim.id, name],
          });
        }
      }
    },
  },
};

/** Whether each is in a group of its own: a name is one within its group. Untyped, there is a group for each partner. */
function inDifferentGroups(reader: Reader, tags: readonly string[]): boolean {
  const groups = tags.map((tag) => reader.get('tag', tag)?.group?.trim().toLowerCase() || partnerOf(reader, tag));
  return groups.every((group) => group !== null) && new Set(groups).size === groups.length;
}

/** The station that a tag is asked of, by the lanes that it is bound in; null where it is bound in none. */
function partnerOf(reader: Reader, tag: string): string | null {
  for (const id of reader.referrers('claim', tag)) {
    const claim = reader.get('claim', id);
    const end = claim && reader.get('end', claim.end);
    const other = end && childrenOf(reader, 'end', end.exchange).find((e) => e.id !== end.id);
    if (other) return other.station;
  }
  return null;
}

/** Names that stand more than once, each with the ids that have it. Empty names are another rule's affair. */
function repeated(named: readonly (readonly [string, string])[], caseMatters: boolean): [string, string[]][] {
  const keyOf = (name: string) => (caseMatters ? name.trim() : name.trim().toLowerCase());
  const byName = new Map<string, { name: string; ids: string[] }>();
  for (const [id, name] of named) {
    const clean = name.trim();
    if (clean === '') continue;
    const key = keyOf(name);
    const known = byName.get(key);
    if (known) known.ids.push(id);
    else byName.set(key, { name: clean, ids: [id] });
  }
  return [...byName.values()].filter((e) => e.ids.length > 1).map((e) => [e.name, e.ids]);
}

function repeatedReport(
  kind: Kind,
  ids: string[],
  params: { where: string; things: string; name: string },
  station?: string,
): Report {
  const id = ids.at(-1)!;
  const subjects = kind === 'tag' ? [kind, station!, params.name] : [kind, params.name];
  return {
    message: 'twice',
    label: 'name twice',
    about: station ? { kind: 'station', id: station, name: params.where } : { kind, id, name: params.name },
    parties: station ? [{ station }] : kind === 'station' ? ids.map((s) => ({ station: s })) : [],
    cells: [...ids].reverse().map((e) => ({ kind, id: e, path: ['name'] })),
    params: { ...params, count: String(ids.length) },
    subjects,
  };
}
