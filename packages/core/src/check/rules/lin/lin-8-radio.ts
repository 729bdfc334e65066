import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import type { Network } from '../../../model/network.js';
import type { Port } from '../../../model/port.js';
import type { Reader } from '../../../model/project.js';
import { fewOf } from '../../few-of.js';
import { portCell, portName } from '../../port-words.js';
import type { Report, Rule } from '../../rule.js';

const FIELDS = { id: 'network id', band: 'band', rate: 'rate', mode: 'mode' } as const;
type Field = keyof typeof FIELDS;

const SHARED = {
  severity: 'blocker',
} as const;

export const radioNetwork: Rule = {
  meta: {
    code: 'LIN 8',
    title: 'A radio network has one base, and all its units are set alike and counted',
    source:
      'common practice: units of one network share id, band, rate and mode; a base waits for as many as are entered',
    messages: {
      differs: {
        ...SHARED,
        headline: '{network}: {b} has the {field} {there}, and {here} stands at {a}',
        says: ['{field} {here}', '{field} [[{there}]]'],
        consequence: 'They do not hear each other.',
        remedy: 'Set {here} at {b}, as at {a}.',
      },
      bases: {
        ...SHARED,
        headline: '{network}: {list} are set up as its base',
        says: ['{list}: [[base]]'],
        consequence: 'Both call the units, and disturb each other.',
        remedy: 'Let one of them be the base, the others end units or repeaters.',
      },
      noBase: {
        ...SHARED,
        headline: '{network}: no unit is the base',
        says: ['{list}: [[none a base]]'],
        consequence: 'Nobody calls the units, so none of them answers.',
        remedy: 'Say which unit is the base.',
      },
      count: {
        ...SHARED,
        headline: '{network}: {planned} {sort} planned at {a}, {present} there',
        says: ['[[{planned}]] {sort}', '{list}: {present}'],
        consequence: 'The base waits for the wrong number of units: it does not come to work, or leaves some out.',
        remedy: 'Set {present} at {a}, or add or remove units to match the planned {planned}.',
      },
      notRead: {
        severity: 'doubt',
        headline: '{a}: the rotary switch is at {dial}, and was not read in since it was turned',
        says: ['rotary switch {dial}: [[not read in]]'],
        consequence: 'The unit goes on with the number that it had before.',
        remedy: 'Press the button that reads the rotary switch in, or restart the unit, then say so here.',
      },
    },
  },
  on: {
    *network(network, { reader }): Generator<Report> {
      if (network.kind !== 'radio') return;
      const ports = childrenOf(reader, 'port', network.id).filter((p) => p.radio);
      if (ports.length === 0) return;
      const base = ports.find((p) => p.radio!.sort === 'base');
      if (!base) {
        yield {
          message: 'noBase',
          label: 'no base',
          about: aboutOf(network),
          parties: ports.map((p) => ({ station: p.station })),
          cells: ports.map((p) => portCell(p, 'radio', 'sort')),
          params: { network: network.name, list: ports.map((p) => portName(reader, p)).join(', ') },
          subjects: [network.id],
        };
      }
      yield* differing(reader, network, ports, base ?? ports[0]!);
      const bases = ports.filter((p) => p.radio!.sort === 'base');
      if (bases.length > 1) {
        yield {
          message: 'bases',
          label: 'two bases',
          about: aboutOf(network),
          parties: bases.map((p) => ({ station: p.station })),
          cells: bases.map((p) => portCell(p, 'radio', 'sort')),
          params: { network: network.name, list: fewOf(bases.map((p) => portName(reader, p))) },
          subjects: [network.id],
        };
      } else if (base) yield* counted(reader, network, ports, base);
      yield* notReadIn(reader, network, ports);
    },
  },
  fixes(finding, reader) {
    if (finding.message === 'count') {
      const network = reader.get('network', finding.about.id);
      const field = finding.cells[0]!.path[1]!;
      if (!network) return [];
      const label = `${finding.params.a}: ${finding.params.planned} → ${finding.params.present} ${finding.params.sort}`;
      return [{ label, changes: [set('network', network, ['radio', field], Number(finding.params.present))] }];
    }
    const port = finding.message === 'differs' ? reader.get('port', finding.cells[0]!.id) : undefined;
    if (!port) return [];
    const { b, field, here, there } = finding.params;
    return [{ label: `${b}: ${field} ${there} → ${here}`, changes: [set('port', port, finding.cells[0]!.path, here)] }];
  },
};

const aboutOf = (network: Network) => ({ kind: 'network', id: network.id, name: network.name }) as const;

/**
 * Each unit against the base, or the base against all its units where it stands alone. What the network itself says stands
 * in for a base that says nothing.
 */
function* differing(reader: Reader, network: Network, ports: readonly Port[], base: Port): Generator<Report> {
  const units = ports.filter((port) => port.id !== base.id);
  for (const field of Object.keys(FIELDS) as Field[]) {
    const said = (port: Port) => (port.radio![field] ?? '').trim();
    const here = (base.radio![field] ?? network.radio?.[field] ?? '').trim();
    const others = units.filter((port) => said(port) !== '');
    const unlike = others.filter((port) => here !== '' && said(port) !== here);
    const [first] = unlike;
    const alone = unlike.length > 1 && unlike.length === others.length && new Set(unlike.map(said)).size === 1;
    const pairs = alone && first ? [{ right: first, wrong: base }] : unlike.map((wrong) => ({ right: base, wrong }));
    for (const { right, wrong } of pairs) {
      yield {
        message: 'differs',
        label: FIELDS[field],
        about: aboutOf(network),
        parties: [{ station: right.station }, { station: wrong.station }],
        cells: [portCell(wrong, 'radio', field), portCell(right, 'radio', field)],
        params: {
          network: network.name,
          a: alone ? fewOf(unlike.map((port) => portName(reader, port))) : portName(reader, right),
          b: portName(reader, wrong),
          field: FIELDS[field],
          here: right === base ? here : said(right),
          there: wrong === base ? here : said(wrong),
        },
        subjects: [wrong.id, field],
      };
    }
  }
}

function* counted(reader: Reader, network: Network, ports: readonly Port[], base: Port): Generator<Report> {
  for (const [field, sort, one, many] of [
    ['repeaters', 'repeater', 'repeater', 'repeaters'],
    ['endUnits', 'end unit', 'end unit', 'end units'],
  ] as const) {
    const planned = network.radio?.[field];
    const present = ports.filter((p) => p.radio!.sort === sort);
    if (planned === undefined || planned === null || planned === present.length) continue;
    yield {
      message: 'count',
      label: 'units',
      about: aboutOf(network),
      parties: [{ station: base.station }, ...present.slice(0, 1).map((p) => ({ station: p.station }))],
      cells: [{ kind: 'network', id: network.id, path: ['radio', field] }, ...present.map((p) => portCell(p, 'radio'))],
      params: {
        network: network.name,
        a: portName(reader, base),
        planned: String(planned),
        present: String(present.length),
        sort: planned === 1 ? one : many,
        list: present.map((p) => portName(reader, p)).join(', ') || 'none',
      },
      subjects: [network.id, field],
    };
  }
}

function* notReadIn(reader: Reader, network: Network, ports: readonly Port[]): Generator<Report> {
  for (const station of new Set(ports.map((p) => p.station))) {
    for (const rack of childrenOf(reader, 'rack', station)) {
      for (const module of childrenOf(reader, 'module', rack.id)) {
        if ((module.dial ?? '').trim() === '' || module.dialRead !== false) continue;
        yield {
          message: 'notRead',
          label: 'switch not read in',
          about: aboutOf(network),
          parties: [{ station }],
          cells: [{ kind: 'module', id: module.id, path: ['dialRead'] }],
          params: {
            a: `${reader.get('station', station)?.name ?? ''} ${module.name}`.trim(),
            dial: module.dial!.trim(),
          },
          subjects: [module.id],
        };
      }
    }
  }
}
