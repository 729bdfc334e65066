import type { Network } from '../../model/network.js';
import type { Port } from '../../model/port.js';
import type { Station } from '../../model/station.js';
import type { FieldToSet } from '../../setting/fields-to-set.js';
import { isWorkstation, stepOf, type WorkContext } from '../context.js';
import type { Need, Step } from '../step.js';

const ADDRESS = ['address', 'mask', 'gateway'];

/** What is set at each port: its address, its device name, and on other networks all that it has there. */
export function atThePort(context: WorkContext): Step[] {
  const { project, stations, fields } = context;
  return stations.flatMap((station) => {
    if (isWorkstation(station)) return [];
    const byPort = new Map<string, FieldToSet[]>();
    for (const field of fields.get(station.id) ?? []) {
      if (field.cell.kind !== 'port') continue;
      byPort.set(field.cell.id, [...(byPort.get(field.cell.id) ?? []), field]);
    }
    return [...byPort].flatMap(([id, all]) => {
      const port = project.get('port', id)!;
      const network = port.network ? project.get('network', port.network) : undefined;
      const of = (paths: readonly string[]) => all.filter(({ cell }) => paths.includes(cell.path[0]!));
      const name = of(['deviceName']);
      const address = of(ADDRESS);
      const rest = all.filter((one) => !name.includes(one) && !address.includes(one));
      return [
        ...(address.length > 0 ? [addressStep(context, station, port, network, address)] : []),
        ...(name.length > 0 ? [nameStep(context, station, port, name)] : []),
        ...(rest.length > 0 ? [cableStep(station, port, network, rest)] : []),
      ];
    });
  });
}

const values = (all: readonly FieldToSet[]): string => all.map(({ text }) => text).join(' · ');
const basisOf = (all: readonly FieldToSet[]): string => all.map(({ field, value }) => `${field}=${value}`).join('|');
const fieldsOf = (all: readonly FieldToSet[]): string[] => all.map(({ field }) => field);

function addressStep(
  { foundAt }: WorkContext,
  station: Station,
  port: Port,
  network: Network | undefined,
  all: readonly FieldToSet[],
): Step {
  const found = foundAt.get(port.id);
  const differs = found?.differences.find(({ fact }) => fact === 'address');
  const temporary = port.how === 'temporary';
  return stepOf(station, {
    key: `address ${port.id}`,
    kind: 'address',
    about: port.network,
    what: `Give ${station.name} ${temporary ? 'for now ' : ''}the address ${values(all)}${differs && differs.found !== '' ? ` in place of ${differs.found}` : ''}`,
    fields: fieldsOf(all),
    needs: [
      { what: `${port.name || 'its port'} on ${network?.name ?? 'its network'}`, stands: '' },
      identityOf(found?.contradicts.length ?? null),
    ],
    proof: `${port.address} answers, and its hardware address is that of ${station.name}`,
    basis: basisOf(all),
  });
}

const identityOf = (contradicts: number | null): Need => ({
  what: 'it is the device that is meant: order code, revision, hardware address',
  stands:
    contradicts === null
      ? 'not found yet'
      : contradicts === 0
        ? 'found and planned agree'
        : 'what was found contradicts',
});

function nameStep({ foundAt }: WorkContext, station: Station, port: Port, all: readonly FieldToSet[]): Step {
  const found = foundAt.get(port.id);
  return stepOf(station, {
    key: `device name ${port.id}`,
    kind: 'device name',
    about: port.network,
    what: `Give ${station.name} the device name ${values(all)}`,
    fields: fieldsOf(all),
    needs: [{ what: 'found on the wire, by its hardware address', stands: found ? 'found' : 'not found yet' }],
    misleads: [{ what: `${station.name} shows a fault: nobody has called it by that name yet`, until: 'connect' }],
    proof: `a search by the name ${values(all)} finds it`,
    basis: basisOf(all),
  });
}

const cableStep = (station: Station, port: Port, network: Network | undefined, all: readonly FieldToSet[]): Step =>
  stepOf(station, {
    key: `set by cable ${port.id}`,
    kind: 'set by cable',
    about: port.network,
    what: `Set ${port.name || 'the port'} of ${station.name} for ${network?.name ?? 'its network'}: ${values(all)}`,
    fields: fieldsOf(all),
    needs: [{ what: `a cable to ${station.name}, or its own keys`, stands: '' }],
    proof: 'read back, it is the same',
    basis: basisOf(all),
  });
