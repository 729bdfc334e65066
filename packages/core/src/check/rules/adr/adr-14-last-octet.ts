import { set } from '../../../change/make.js';
import { parseIpv4 } from '../../../wiring/ipv4.js';
import { childrenOf } from '../../../model/order.js';
import type { Port } from '../../../model/port.js';
import type { Reader } from '../../../model/project.js';
import { protocolAt } from '../../../protocol/catalogue.js';
import { portCell, portName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const lastOctet: Rule = {
  meta: {
    code: 'ADR 14',
    title: 'Where that is the custom, the unit address is the last part of the IP address',
    source: 'the profile of the type, which says so',
    messages: {
      other: {
        severity: 'hint',
        headline: '{a}: unit {unit} at {address}, where the custom is unit {octet}',
        says: ['unit [[{unit}]] at {address}; by custom {octet} ({source})'],
        consequence: 'Whoever relies on the custom calls another unit.',
        remedy: 'Set unit {octet}, or leave it where others have {unit} entered.',
      },
      none: {
        severity: 'hint',
        headline: '{a}: no unit at {address}, where the custom is unit {octet}',
        says: ['unit [[not set]] at {address}; by custom {octet} ({source})'],
        consequence: 'Whoever relies on the custom calls a unit that nobody has set.',
        remedy: 'Set unit {octet}.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      const custom = station.profile ? reader.get('profile', station.profile)?.unitIsLastOctet : null;
      if (!custom) return;
      for (const port of childrenOf(reader, 'port', station.id)) {
        const address = parseIpv4(port.address);
        if (!address.ok || address.value === 0 || port.unit === (address.value & 255)) continue;
        if (port.unit === null && !isCalledByUnit(reader, port)) continue;
        yield {
          message: port.unit === null ? 'none' : 'other',
          label: 'unit',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: [portCell(port, 'unit')],
          params: {
            a: portName(reader, port),
            unit: port.unit === null ? 'none' : String(port.unit),
            address: port.address.trim(),
            octet: String(address.value & 255),
            source: custom.source,
          },
          subjects: [port.id],
        };
      }
    },
  },
  fixes(finding, reader) {
    const port = reader.get('port', finding.cells[0]!.id);
    if (!port) return [];
    const { a, unit, octet } = finding.params;
    return [{ label: `${a}: unit ${unit} → ${octet}`, changes: [set('port', port, ['unit'], Number(octet))] }];
  },
};

/** Whether somebody calls it through this port over a protocol in which callers are told a unit. */
function isCalledByUnit(reader: Reader, port: Port): boolean {
  return childrenOf(reader, 'end', port.station).some((end) => {
    const exchange = reader.get('exchange', end.exchange);
    if (end.port !== port.id || end.calling !== 'listens' || !exchange) return false;
    return protocolAt(exchange, end).told.calls.some(({ field }) => field === 'unit');
  });
}
