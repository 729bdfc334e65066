import { viewOf } from '../../../place/memory.js';
import { locate } from '../../../place/resolve.js';
import { readToldPlace } from '../../../lane/told-place.js';
import { memoriesOf, memoryOf } from '../../../place/memory.js';
import type { Side } from '../../../lane/side.js';
import { sidesOf } from '../../../lane/sides-of.js';
import type { Exchange } from '../../../model/exchange.js';
import type { End } from '../../../model/end.js';
import type { Lane } from '../../../model/lane.js';
import type { Reader } from '../../../model/project.js';
import type { View } from '../../../model/view.js';
import type { Tag } from '../../../model/tag.js';
import type { PanelElement, ReferenceTable, Role } from '../../../model/words.js';
import { isOwnIo } from '../../../lane/own-io.js';
import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import { tagOf } from '../../../place/open-of.js';
import { panelElementsFor, SETTING_ELEMENTS } from '../../../tags/signal/panel-elements.js';
import { placesOf } from '../../../lane/places-of.js';
import { claimCell, laneReport } from '../../lane-report.js';
import { fewOf } from '../../few-of.js';
import { oneForEachCause, type Caused } from '../../one-cause.js';
import type { Context, Report, Rule } from '../../rule.js';

export const readOnly: Rule = {
  meta: {
    code: 'DIR 2',
    title: 'What an end writes to can be written',
    source: 'MODBUS Application Protocol Specification V1.1b3, 4.3: discrete inputs and input registers are read-only',
    yieldsTo: ['DIR 6', 'DIR 1'],
    yieldsAtCell: ['DIR 2 tag'],
    messages: {
      table: {
        severity: 'blocker',
        headline: '{lane}: {a} writes to {target} of {b}, which others can only read',
        says: ['{aName}: {aDoes} it', '{bName}: [[{target}]] is {what}'],
        consequence: 'The request is refused; the value never arrives.',
        remedy: 'Ask for a table that can be written, or let {b} write and {a} read.',
      },
      tag: {
        severity: 'blocker',
        headline: '{lane}: tag {tag} of {a} is for reading only, and {how}',
        says: ['{aName}: {aDoes}; {tag} is [[for reading only]]'],
        consequence: 'What is entered is refused, or the entry field stays locked.',
        remedy: 'Let the tag be set, too, or let {a} only read it.',
      },
      image: {
        severity: 'blocker',
        headline: '{lane}: {a} {aDoes} {aRange} in its {kind}, and this exchange is its {io}',
        says: ['{aName}: {aDoes} [[{aRange}]], in [[{kind}]] {area}'],
        consequence:
          'The station overwrites an output image that something else fills, or sends what stands at its inputs.',
        remedy: 'Take what arrives into an input image, and send from an output image.',
      },
      member: {
        severity: 'blocker',
        headline: '{exchange}: the program of {a} is to set {member} of {owner}, which can only be read',
        says: ['{step}; {member} is [[for reading only]]'],
        consequence: 'What the program writes there is overwritten by {owner}, or disturbs it.',
        remedy: 'Let the program wait for it in place of setting it, or correct the part of {owner}.',
      },
      element: {
        severity: 'blocker',
        headline: '{tag} of {a}: for reading only, behind a {element}',
        says: ['{tag}: [[for reading only]], entered by a [[{element}]]'],
        consequence: 'The entry stays locked, or is refused each time.',
        remedy: 'Show it as a {suits}, or let the tag be set, too.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      const byElement = new Map<string, Tag[]>();
      for (const tag of childrenOf(reader, 'tag', station.id)) {
        if (tag.access !== 'read' || !tag.element || !SETTING_ELEMENTS.includes(tag.element)) continue;
        byElement.set(tag.element, [...(byElement.get(tag.element) ?? []), tag]);
      }
      for (const [element, tags] of byElement) {
        const names = fewOf(tags.map((tag) => tag.name));
        const suits = [...new Set(tags.map(elementFor))];
        yield {
          message: 'element',
          label: 'read only',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: ['element', 'access'].flatMap((field) =>
            tags.map((tag) => ({ kind: 'tag' as const, id: tag.id, path: [field] })),
          ),
          params: { a: station.name, tag: names, element, suits: suits.join(' or ') },
          subjects: tags.length === 1 ? [tags[0]!.id] : [station.id, element],
        };
      }
    },
    *lane(comparison, context) {
      const { exchange, sides } = comparison;
      for (const side of isOwnIo(exchange) ? sides : []) {
        const kind = side.block?.memory.area.kind;
        const wrong =
          (kind === 'input image' && side.claim.direction === 'writes') ||
          (kind === 'output image' && side.claim.direction === 'reads');
        // A head sends what it has at its inputs, and a unit of a radio network, too.
        if (!wrong || !kind || side.station.roles.some((role) => DEVICES.includes(role))) continue;
        yield laneReport(context, comparison, {
          message: 'image',
          label: 'wrong image',
          sides: [side],
          cells: [claimCell(side, 'place')],
          params: {
            kind,
            area: side.block!.memory.area.name,
            io: exchange.kind === 'remote I/O' ? 'remote I/O' : 'own I/O',
          },
          subjects: [side.claim.id],
        });
      }
    },
    *exchange(exchange, context) {
      const caused: Caused[] = [];
      const tables = childrenOf(context.reader, 'end', exchange.id).some((end) => hasReadOnly(context.reader, end));
      for (const lane of childrenOf(context.reader, 'lane', exchange.id)) {
        if (!tables && !byReadOnlyTag(context.reader, lane)) continue;
        const about = { exchange, lane, sides: sidesOf(context.reader, lane, exchange) };
        caused.push(...readOnlyTags(context, about), ...readOnlyTables(context, about));
      }
      yield* stepsThatSet(context, exchange);
      for (const report of oneForEachCause(exchange.id, caused)) {
        const tags = report.cells.flatMap((cell) => (cell.kind === 'tag' ? context.reader.get('tag', cell.id)! : []));
        yield tags.length > 1
          ? { ...report, params: { ...report.params, tag: fewOf(tags.map((t) => t.name)) } }
          : report;
      }
    },
  },
  fixes(finding, reader) {
    const tags = finding.cells.flatMap((cell) => (cell.kind === 'tag' ? (reader.get('tag', cell.id) ?? []) : []));
    const [tag] = tags;
    if (!tag) return [];
    if (finding.message === 'element') {
      const shown = [...new Set(tags)];
      const changes = shown.map((each) => set('tag', each, ['element'], elementFor(each)));
      return [{ label: `${finding.params.tag}: ${finding.params.suits}`, changes }];
    }
    const changes = tags.map((each) => set('tag', each, ['access'], 'read and set'));
    return [{ label: `${finding.params.tag}: read and set`, changes }];
  },
};

interface OfLane {
  exchange: Exchange;
  lane: Lane;
  sides: readonly Side[];
}

/** Tags that are for reading only, and by which this lane sets something. */
function readOnlyTags(context: Context, { exchange, lane, sides }: OfLane): Caused[] {
  return sides.flatMap((side) => {
    const tag = tagOf(context.reader, side.claim);
    // Who calls sets by it; who is called lets others set it.
    const calls = side.end.calling === 'calls';
    const sets = side.claim.direction === 'both' || side.claim.direction === (calls ? 'writes' : 'reads');
    if (tag?.access !== 'read' || !sets) return [];
    const how = calls ? `${side.station.name} sets by it` : 'others set it';
    const report = laneReport(
      context,
      { exchange, lane },
      {
        message: 'tag',
        label: 'read only',
        sides: [side],
        cells: [{ kind: 'tag', id: tag.id, path: ['access'] }, claimCell(side, 'direction')],
        params: { tag: tag.name, how },
        subjects: [side.claim.id],
      },
    );
    return [{ cause: `tag ${side.end.id}`, report }];
  });
}

/** Tables that others can only read, and to which this lane writes. */
function readOnlyTables(context: Context, { exchange, lane, sides }: OfLane): Caused[] {
  return sides.flatMap((side) => {
    if (side.claim.direction !== 'reads' && side.claim.direction !== 'both') return [];
    const from = sides.find((s) => s !== side && s.claim.direction !== 'reads');
    if (!from) return [];
    const asked = askedFor(context.reader, from, side, placesOf(exchange, lane) === 'named');
    const what = asked && readOnlyBecause(asked.view, exchange.transfer === 'requests' && side.end.calling);
    if (!asked || !what) return [];
    const report = laneReport(
      context,
      { exchange, lane },
      {
        message: 'table',
        label: 'read only',
        sides: [from, side],
        cells: [asked.told ? claimCell(from, 'toldPlace') : claimCell(side, 'place')],
        params: { target: asked.text, what },
        subjects: [side.claim.id],
      },
    );
    return [{ cause: `table ${side.end.id} ${what}`, report }];
  });
}

/** What shows a tag that nobody may set. */
const elementFor = (tag: Tag): PanelElement => panelElementsFor(tag)[0] ?? 'lamp';

const DEVICES: readonly Role[] = ['remote I/O head', 'radio unit', 'telemetry unit'];

const SETS = /^\s*(?:sets?|writes?|clears?|resets?)\b/i;

/** Steps of a start sequence by which a program sets a part of a block that it may only read. */
function* stepsThatSet({ reader }: Context, exchange: Exchange): Generator<Report> {
  for (const [key, step] of Object.entries(exchange.start ?? {})) {
    const [areaId = '', reservation = '', part = ''] = (step.member ?? '').split(' ');
    const area = reader.get('area', areaId);
    const block = area?.reservations[reservation];
    const member = block?.members?.[part];
    if (!area || !block || member?.access !== 'read' || !SETS.test(step.does)) continue;
    const end = step.end ? reader.get('end', step.end) : undefined;
    const station = reader.get('station', end?.station ?? area.station);
    yield {
      message: 'member',
      label: 'read only',
      about: { kind: 'exchange', id: exchange.id, name: exchange.name },
      parties: [{ station: area.station, ...(end ? { end: end.id } : {}) }],
      cells: [{ kind: 'exchange', id: exchange.id, path: ['start', key, 'does'] }],
      params: {
        exchange: exchange.name,
        a: station?.name ?? '',
        owner: block.owner,
        member: member.name,
        step: step.does.trim(),
      },
      subjects: [exchange.id, key],
    };
  }
}

/** `10001`, `1:4`, `30012`: a reference into a table of inputs, whether the other has that table or not. */
function tableOfText(text: string): ReferenceTable | null {
  const digit = /^([13])(?:\d{4,5}(?:\.\d+)?$|\s*[:x]\s*\d|\s+\d)/i.exec(text)?.[1];
  return digit ? (digit === '1' ? 'discrete inputs' : 'input registers') : null;
}

/** The view by which the writing end addresses the other: as it was told, else as the other states it. */
function askedFor(reader: Reader, from: Side, to: Side, named: boolean): Asked | null {
  const told = from.claim.toldPlace?.trim() ?? '';
  if (named && from.end.calling === 'calls' && told !== '') {
    const read = readToldPlace(reader, told, to.station.id, to.claim);
    const memory = read.ok ? memoryOf(reader, read.value.area) : null;
    const view = read.ok && memory && locate(memory, read.value) ? viewOf(memory, read.value.view) : null;
    if (view) return { view, text: told, told: true };
    // A table that the other end has not described cannot be written either, where it counts in tables at all.
    const table = read.ok || !hasTables(reader, to.station.id) ? null : tableOfText(told);
    return table ? { view: { table }, text: told, told: true } : null;
  }
  return to.block
    ? { view: to.block.located.view, text: to.block.located.view.name || 'its place', told: false }
    : null;
}

interface Asked {
  view: Pick<View, 'table' | 'access'>;
  text: string;
  told: boolean;
}

/** Whether there is anything at a station that others may only read; most have nothing, and need not be looked at. */
const hasReadOnly = (reader: Reader, { station }: End): boolean =>
  memoriesOf(reader, station).some(({ views }) =>
    views.some(([, view]) => view.access === 'read' || view.table !== undefined),
  );

const byReadOnlyTag = (reader: Reader, lane: Lane): boolean =>
  childrenOf(reader, 'claim', lane.id).some((claim) => tagOf(reader, claim)?.access === 'read');

const hasTables = (reader: Reader, station: string): boolean =>
  memoriesOf(reader, station).some(({ views }) => views.some(([, view]) => view.table !== undefined));

/** Tables of inputs are read-only for those who call; a view's access holds for everybody. */
function readOnlyBecause(view: Asked['view'], calling: false | 'calls' | 'listens' | null): string | null {
  if (view.access === 'read') return 'set to be read only';
  if (calling !== 'listens') return null;
  return view.table === 'input registers' || view.table === 'discrete inputs' ? `one of the ${view.table}` : null;
}
