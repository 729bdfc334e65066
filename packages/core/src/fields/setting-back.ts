import { put, set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Project, Reader } from '../model/project.js';

/** Who says so, and when (ISO 8601). */
export interface Said {
  by: string;
  at: string;
}

/** Keeps what an adapter had before it is given another address for a while, so that it is not forgotten there. */
export function keepForSettingBack(project: Project, port: Port, newId: string, said: Said): Change[] {
  const field = `port ${port.id} address`;
  const known = childrenOf(project, 'setting', port.station).find((s) => s.field === field);
  const before = port.address.trim();
  if (before === '' || known?.was) return [];
  const was = port.mask.trim() === '' ? before : `${before} ${port.mask.trim()}`;
  const wasOn = port.network ?? '';
  if (known) return [set('setting', known, ['was'], was), set('setting', known, ['wasOn'], wasOn)];
  const order = orderAfter(childrenOf(project, 'setting', port.station));
  return [put('setting', { id: newId, order, station: port.station, field, state: 'not sent', was, wasOn, ...said })];
}

/** The adapter as it was; the list forgets it. Null where nothing was kept for it. */
export function setBack(project: Reader, port: Port): Change[] | null {
  const known = childrenOf(project, 'setting', port.station).find((s) => s.field === `port ${port.id} address`);
  const [address = '', mask] = (known?.was ?? '').split(' ');
  if (!known || address === '') return null;
  return [
    set('port', port, ['address'], address),
    ...(mask === undefined ? [] : [set('port', port, ['mask'], mask)]),
    ...(known.wasOn === undefined || (known.wasOn !== '' && !project.get('network', known.wasOn)) ? [] : [set('port', port, ['network'], known.wasOn || null)]),
    set('setting', known, ['was'], undefined),
    set('setting', known, ['wasOn'], undefined),
  ];
}
