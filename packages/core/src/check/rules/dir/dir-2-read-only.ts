import { viewOf } from '../../../address/memory.js';
import { locate } from '../../../address/resolve.js';
import { readToldPlace } from '../../../lane/told-place.js';
import { memoryOf } from '../../../address/memory.js';
import type { Side } from '../../../lane/side.js';
import type { Reader } from '../../../model/project.js';
import type { View } from '../../../model/view.js';
import type { Role } from '../../../model/words.js';
import { isOwnIo } from '../../../lane/own-io.js';
import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import { tagOf } from '../../../tags/open-of.js';
import { panelElementsFor, SETTING_ELEMENTS } from '../../../tags/signal/panel-elements.js';
import { placesOf } from '../../../lane/places-of.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const readOnly: Rule = {
  meta: {
    code: 'DIR 2',
    title: 'What an end writes to can be written',
    source: 'MODBUS Application Protocol Specification V1.1b3, 4.3: discrete inputs and input registers are read-only',
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
      element: {
        severity: 'blocker',
        headline: '{tag} of {a} is for reading only, and stands behind a {element}',
        says: ['{tag}: [[for reading only]], entered by a [[{element}]]'],
        consequence: 'The entry stays locked, or is refused each time.',
        remedy: 'Show it as a {suits}, or let the tag be set, too.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const tag of childrenOf(reader, 'tag', station.id)) {
        if (tag.access !== 'read' || !tag.element || !SETTING_ELEMENTS.includes(tag.element)) continue;
        yield {
          message: 'element',
          label: 'read only',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: ['element', 'access'].map((field) => ({ kind: 'tag', id: tag.id, path: [field] })),
          params: { a: station.name, tag: tag.name, element: tag.element, suits: panelElementsFor(tag)[0] ?? 'lamp' },
          subjects: [tag.id],
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
      for (const side of sides) {
        const tag = tagOf(context.reader, side.claim);
        // Who calls sets by it; who is called lets others set it.
        const calls = side.end.calling === 'calls';
        const sets = side.claim.direction === 'both' || side.claim.direction === (calls ? 'writes' : 'reads');
        if (tag?.access !== 'read' || !sets) continue;
        const how = calls ? `${side.station.name} sets by it` : 'others set it';
        yield laneReport(context, comparison, {
          message: 'tag',
          label: 'read only',
          sides: [side],
          cells: [{ kind: 'tag', id: tag.id, path: ['access'] }, claimCell(side, 'direction')],
          params: { tag: tag.name, how },
          subjects: [side.claim.id],
        });
      }
      for (const side of sides) {
        if (side.claim.direction !== 'reads' && side.claim.direction !== 'both') continue;
        const from = sides.find((s) => s !== side && s.claim.direction !== 'reads');
        if (!from) continue;
        const asked = askedFor(context.reader, from, side, placesOf(exchange, comparison.lane) === 'named');
        const what = asked && readOnlyBecause(asked.view, exchange.transfer === 'requests' && side.end.calling);
        if (!asked || !what) continue;
        yield laneReport(context, comparison, {
          message: 'table',
          label: 'read only',
          sides: [from, side],
          cells: [asked.told ? claimCell(from, 'toldPlace') : claimCell(side, 'place')],
          params: { target: asked.text, what },
          subjects: [side.claim.id],
        });
      }
    },
  },
  fixes(finding, reader) {
    const tag =
      finding.message === 'table' || finding.message === 'image'
        ? undefined
        : reader.get('tag', finding.cells[0]?.id ?? '');
    if (!tag) return [];
    if (finding.message === 'element') {
      const { suits } = finding.params;
      return [{ label: `${tag.name}: ${suits}`, changes: [set('tag', tag, ['element'], suits)] }];
    }
    return [{ label: `${tag.name}: read and set`, changes: [set('tag', tag, ['access'], 'read and set')] }];
  },
};

const DEVICES: readonly Role[] = ['remote I/O head', 'radio unit', 'telemetry unit'];

/** The view by which the writing end addresses the other: as it was told, else as the other states it. */
function askedFor(reader: Reader, from: Side, to: Side, named: boolean) {
  const told = from.claim.toldPlace?.trim() ?? '';
  if (named && from.end.calling === 'calls' && told !== '') {
    const read = readToldPlace(reader, told, to.station.id, to.claim);
    const memory = read.ok ? memoryOf(reader, read.value.area) : null;
    const view = read.ok && memory && locate(memory, read.value) ? viewOf(memory, read.value.view) : null;
    return view ? { view, text: told, told: true } : null;
  }
  return to.block
    ? { view: to.block.located.view, text: to.block.located.view.name || 'its place', told: false }
    : null;
}

/** Tables of inputs are read-only for those who call; a view's access holds for everybody. */
function readOnlyBecause(view: View, calling: false | 'calls' | 'listens' | null): string | null {
  if (view.access === 'read') return 'set to be read only';
  if (calling !== 'listens') return null;
  return view.table === 'input registers' || view.table === 'discrete inputs' ? `one of the ${view.table}` : null;
}
