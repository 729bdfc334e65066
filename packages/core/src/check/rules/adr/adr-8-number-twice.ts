import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import type { Module } from '../../../model/module.js';
import type { Network } from '../../../model/network.js';
import type { Port } from '../../../model/port.js';
import type { Reader } from '../../../model/project.js';
import type { Station } from '../../../model/station.js';
import { nextFreeNumber, SPACES, type SpaceId } from '../../../wiring/address-spaces.js';
import { numberOf, spacesOn, takenIn, withNumber } from '../../../wiring/numbers-on.js';
import { portCell, portName } from '../../port-words.js';
import type { Report, Rule } from '../../rule.js';

/** Token-bus nodes have a rule of their own, ADR 11. */
const SPACES_HERE = (network: Network): SpaceId[] => spacesOn(network).filter((space) => space !== 'node');

export const numberTwice: Rule = {
  meta: {
    code: 'ADR 8',
    title: 'A unit, telemetry or radio number stands once where it is heard',
    source: 'Modbus over Serial Line V1.02, 2.2: an address is unique on a bus; IEEE 1815 for telemetry',
    messages: {
      twice: {
        severity: 'blocker',
        headline: '{network}: {a} and {b} both have {space} {number}',
        says: ['{space} [[{number}]]', '{space} [[{number}]]'],
        consequence: 'Both answer at once, and neither answer can be read.',
        remedy: 'Give one of them a number of its own{free}, and tell whoever calls it.',
      },
      behind: {
        severity: 'blocker',
        headline: '{gateway} passes requests to {space} {number} twice: {a} and {b}',
        says: ['{space} [[{number}]]', '{space} [[{number}]]'],
        consequence: 'Behind one address and TCP port, which of the two is meant cannot be said.',
        remedy: 'Give one of them a number that nobody behind {gateway} has, and tell whoever calls it.',
      },
      dial: {
        severity: 'blocker',
        headline: '{network}: rotary switch {number} twice among {kind} modules, {a} and {b}',
        says: ['{a}: rotary switch [[{number}]]', '{b}: rotary switch [[{number}]]'],
        consequence: 'Both are taken for the same place of the base’s registers.',
        remedy: 'Turn one of them to a number that no other {kind} module has.',
      },
    },
  },
  on: {
    *station(station, { reader }): Generator<Report> {
      for (const space of passedOn(reader, station)) {
        const behind = childrenOf(reader, 'port', station.id)
          .filter((own) => own.network !== null && own.lineRole !== 'answers')
          .flatMap((own) => childrenOf(reader, 'port', own.network!).filter((p) => p.station !== station.id))
          .filter((p) => reader.get('network', p.network!)?.kind !== 'ethernet');
        for (const [i, second] of behind.entries()) {
          const number = numberOf(second, space);
          const first = behind.slice(0, i).find((p) => number !== null && numberOf(p, space) === number);
          // On one network it is that network's finding.
          if (!first || first.network === second.network) continue;
          yield {
            message: 'behind',
            label: `${SPACES[space].name} twice`,
            about: { kind: 'station', id: station.id, name: station.name },
            parties: [{ station: first.station }, { station: second.station }],
            cells: [portCell(second, ...fieldOf(space)), portCell(first, ...fieldOf(space))],
            params: {
              gateway: station.name,
              space: SPACES[space].name,
              number: String(number),
              a: portName(reader, first),
              b: portName(reader, second),
            },
            subjects: [first.id, second.id, space],
          };
        }
      }
    },
    *network(network, { reader }): Generator<Report> {
      const about = { kind: 'network', id: network.id, name: network.name } as const;
      for (const space of SPACES_HERE(network)) {
        const byNumber = new Map<number, Port[]>();
        for (const port of childrenOf(reader, 'port', network.id)) {
          const number = numberOf(port, space);
          if (number !== null) byNumber.set(number, [...(byNumber.get(number) ?? []), port]);
        }
        for (const [number, ports] of byNumber) {
          if (ports.length < 2) continue;
          const free = nextFreeNumber(SPACES[space], takenIn(reader, network, space));
          yield {
            message: 'twice',
            label: `${SPACES[space].name} twice`,
            about,
            parties: ports.map((p) => ({ station: p.station })),
            cells: ports.map((p) => portCell(p, ...fieldOf(space))),
            params: {
              network: network.name,
              space: SPACES[space].name,
              number: String(number),
              a: portName(reader, ports[0]!),
              b: ports
                .slice(1)
                .map((p) => portName(reader, p))
                .join(' and '),
              free: free === null ? '' : `, ${free} is free`,
            },
            subjects: [network.id, space, String(number)],
          };
        }
      }
      if (network.kind !== 'radio') return;
      for (const [a, b] of dialsTwice(reader, network)) {
        const owner = (module: Module) => reader.get('rack', module.rack)!.station;
        const name = (module: Module) => `${reader.get('station', owner(module))?.name ?? ''} ${module.name}`.trim();
        yield {
          message: 'dial',
          label: 'switch twice',
          about,
          parties: [{ station: owner(a) }, { station: owner(b) }],
          cells: [
            { kind: 'module', id: b.id, path: ['dial'] },
            { kind: 'module', id: a.id, path: ['dial'] },
          ],
          params: { network: network.name, number: b.dial!.trim(), kind: b.kind, a: name(a), b: name(b) },
          subjects: [a.id, b.id],
        };
      }
    },
  },
  fixes(finding, reader) {
    const network = reader.get('network', finding.about.id);
    if (!network || finding.message !== 'twice') return [];
    const space = SPACES_HERE(network).find((s) => SPACES[s].name === finding.params.space);
    return [...finding.cells].reverse().flatMap((cell) => {
      const port = reader.get('port', cell.id);
      const free = space ? nextFreeNumber(SPACES[space], takenIn(reader, network, space)) : null;
      if (!port || !space || free === null) return [];
      const label = `${portName(reader, port)}: ${SPACES[space].name} ${finding.params.number} → ${free}`;
      return [{ label, changes: [set('port', port, cell.path, withNumber(space, free))] }];
    });
  },
};

/** The spaces by whose numbers a station passes requests on to others. */
function passedOn(reader: Reader, station: Station): ('unit' | 'telemetry')[] {
  const profile = station.profile ? reader.get('profile', station.profile) : undefined;
  const forwards = Object.values(profile?.forwards ?? {}).map((f) => f.what);
  return [
    ...(forwards.includes('requests by unit') ? (['unit'] as const) : []),
    ...(forwards.includes('requests by telemetry address') ? (['telemetry'] as const) : []),
  ];
}

const fieldOf = (space: SpaceId): string[] => (space === 'radio' ? ['radio', 'number'] : [space]);

/** Modules of one kind on one radio network that are turned to the same number; the earlier one first. */
function dialsTwice(reader: Reader, network: Network): [Module, Module][] {
  const stations = new Set(childrenOf(reader, 'port', network.id).map((p) => p.station));
  const modules = [...stations].flatMap((station) =>
    childrenOf(reader, 'rack', station).flatMap((rack) => childrenOf(reader, 'module', rack.id)),
  );
  const dialled = modules.filter((m) => (m.dial ?? '').trim() !== '');
  return dialled.flatMap((b, i) => {
    const a = dialled.slice(0, i).find((m) => m.kind === b.kind && m.dial!.trim() === b.dial!.trim());
    return a ? [[a, b] as [Module, Module]] : [];
  });
}
