import type { Port } from '../../model/port.js';
import type { Project } from '../../model/project.js';
import type { NetworkKind } from '../../model/words.js';
import { inEach, moved, otherHost, type SlipKind } from './slip.testing.js';

const kindOf = (project: Project, port: Port): NetworkKind | null =>
  (port.network && project.get('network', port.network)?.kind) || null;
const beside = (project: Project, port: Port): Port[] =>
  [...project.all('port')].filter((p) => p.id !== port.id && p.network === port.network);
const usedBy = (project: Project, port: Port): boolean => [...project.all('end')].some((e) => e.port === port.id);

const inPort = (on: NetworkKind, make: (port: Port, project: Project) => readonly [string, unknown] | null): SlipKind =>
  inEach('port', (port, project) =>
    kindOf(project, port) === on && usedBy(project, port) ? make(port, project) : null,
  );

const RATES: Record<string, string> = { '9600': '19200', '19200': '9600', '38400': '19200' };

/** Settings of ports and networks, mistaken. */
export const WIRING_SLIPS: Record<string, SlipKind> = {
  'address of another port': inPort('ethernet', (port, project) => {
    const other = beside(project, port).find((p) => p.address !== '');
    return other ? ['address', other.address] : null;
  }),
  'address in another subnet': inPort('ethernet', ({ address }) => {
    const [a, b, c, d] = address.split('.');
    return ['address', `${a}.${b}.${Number(c) + 3}.${d}`];
  }),
  'address, malformed': inPort('ethernet', ({ address }) => ['address', address.replace(/\d+$/, '256')]),
  // Where a device is found by its name, its address may be given to it later.
  'address, nothing': inPort('ethernet', (port, project) => {
    const exchanges = [...project.all('end')].flatMap((e) => (e.port === port.id ? [e.exchange] : []));
    const byName = exchanges.every((id) => project.get('exchange', id)?.protocol === 'cyclic-ethernet-io');
    return byName || port.deviceName ? null : ['address', ''];
  }),
  'mask of another size': inPort('ethernet', () => ['mask', '255.255.0.0']),
  'mask, malformed': inPort('ethernet', () => ['mask', '255.0.255.0']),
  'network’s own address': inPort('ethernet', ({ address }) => ['address', address.replace(/\d+$/, '0')]),
  'broadcast address': inPort('ethernet', ({ address }) => ['address', address.replace(/\d+$/, '255')]),
  'no gateway': inPort('ethernet', ({ gateway }) => (gateway ? ['gateway', ''] : null)),
  'gateway, one digit': inPort('ethernet', ({ gateway }) => (gateway ? ['gateway', otherHost(gateway)] : null)),
  'gateway in another subnet': inPort('ethernet', ({ gateway }) =>
    gateway ? ['gateway', gateway.replace(/^10/, '11')] : null,
  ),
  'port switched off': inPort('ethernet', () => ['enabled', false]),
  'port on no network': inPort('ethernet', () => ['network', null]),
  'node of another': inPort('token bus', (port, project) => {
    const other = beside(project, port).find((p) => p.node);
    return other ? ['node', other.node] : null;
  }),
  'node above the highest': inPort('token bus', (port) => (port.busActive ? ['node', '99'] : null)),
  'rate of the bus': inPort('token bus', () => ['busRate', '187.5 kbit/s']),
  'set of times of the bus': inPort('token bus', () => ['busProfile', 'universal']),
  'unit of another': inPort('serial line', (port, project) => {
    const other = beside(project, port).find((p) => p.unit !== null);
    return port.unit !== null && other ? ['unit', other.unit] : null;
  }),
  'unit, one digit': inPort('serial line', (port) => (port.unit !== null ? ['unit', port.unit + 50] : null)),
  parity: inPort('serial line', ({ serial = '' }) => [
    'serial',
    serial.replace(/[EON](?=\d$)/, (p) => (p === 'E' ? 'O' : 'E')),
  ]),
  rate: inPort('serial line', ({ serial = '' }) => ['serial', serial.replace(/^\d+/, (rate) => RATES[rate] ?? '1200')]),
  'seven data bits': inPort('serial line', ({ serial = '' }) => ['serial', serial.replace(/ \d/, ' 7')]),
  'electrical standard': inPort('serial line', () => ['electrical', 'RS-232']),
  'calls instead of answers': inPort('serial line', (port) =>
    port.lineRole === 'answers' ? ['lineRole', 'calls'] : null,
  ),
  'telemetry address of a unit': inPort('ethernet', ({ telemetry }) =>
    telemetry ? ['telemetry', moved(telemetry, 1)] : null,
  ),
  'device name with an underscore': inPort('ethernet', ({ deviceName }) =>
    deviceName ? ['deviceName', deviceName.replace('-', '_')] : null,
  ),
  'device name, another': inPort('ethernet', ({ deviceName }) =>
    deviceName ? ['deviceName', `${deviceName}b`] : null,
  ),
  'network id of a radio': inPort('radio', ({ radio }) => ['radio.id', moved(radio!.id!, 1)]),
  'rate of a radio': inPort('radio', () => ['radio.rate', '19.2 kbit/s']),
  'number of another radio': inPort('radio', (port, project) => {
    const other = beside(project, port).find((p) => p.radio?.number);
    return other ? ['radio.number', other.radio!.number] : null;
  }),
  'two bases': inPort('radio', ({ radio }) => (radio?.sort === 'end unit' ? ['radio.sort', 'base'] : null)),
  'end units of a radio network': inEach('network', ({ radio }) =>
    radio?.endUnits ? ['radio.endUnits', radio.endUnits + 1] : null,
  ),
};
