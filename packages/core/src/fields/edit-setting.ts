import { parseAccepted } from '../rack/revisions.js';
import { put, set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Project } from '../model/project.js';
import type { Setting } from '../model/setting.js';
import { SETTING_STATES, SETTING_WAYS } from '../model/words.js';
import { changed, parseWord, refused, type FieldEdit } from '../text/field-edit.js';
import type { FieldToSet } from '../setting/fields-to-set.js';

export type SettingColumn = 'found' | 'how' | 'firmware' | 'state' | 'was';

/** Who says so, and when (ISO 8601). */
export interface Said {
  by: string;
  at: string;
}

/** Typed text into what is known of one setting. A state is of the value that stands there now. */
export function editSetting(
  project: Project,
  station: string,
  row: FieldToSet,
  column: SettingColumn,
  text: string,
  newId: string,
  said: Said,
): FieldEdit {
  const clean = text.trim();
  const known: Setting = row.setting ?? {
    ...{ id: newId, order: orderAfter(childrenOf(project, 'setting', station)), station, field: row.field },
    ...{ state: 'not sent', by: '', at: '' },
  };
  const next: Setting = { ...known, ...said };
  switch (column) {
    case 'state': {
      const state = parseWord(clean, SETTING_STATES, 'state');
      if (!state.ok) return refused(state);
      next.state = state.value;
      if (state.value === 'not sent') delete next.sent;
      else next.sent = row.value;
      break;
    }
    case 'how': {
      const how = clean === '' ? null : parseWord(clean, SETTING_WAYS, 'way to change it');
      if (how && !how.ok) return refused(how);
      if (how) next.how = how.value;
      else delete next.how;
      break;
    }
    case 'firmware': {
      const range = clean === '' ? null : parseAccepted(clean);
      if (range && !range.ok) return refused(range);
      if (range) next.firmware = clean;
      else delete next.firmware;
      break;
    }
    default:
      if (clean === '') delete next[column];
      else next[column] = clean;
  }
  return changed(...replaced(row.setting, next));
}

function replaced(before: Setting | null, after: Setting): Change[] {
  if (!before) return [put('setting', after)];
  const fields = new Set([...Object.keys(before), ...Object.keys(after)] as (keyof Setting)[]);
  return [...fields].flatMap((f) => (before[f] === after[f] ? [] : [set('setting', before, [f], after[f])]));
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
export function setBack(project: Project, port: Port): Change[] | null {
  const known = childrenOf(project, 'setting', port.station).find((s) => s.field === `port ${port.id} address`);
  const [address = '', mask] = (known?.was ?? '').split(' ');
  if (!known || address === '') return null;
  return [
    set('port', port, ['address'], address),
    ...(mask === undefined ? [] : [set('port', port, ['mask'], mask)]),
    ...(known.wasOn === undefined || (known.wasOn !== '' && !project.get('network', known.wasOn))
      ? []
      : [set('port', port, ['network'], known.wasOn || null)]),
    set('setting', known, ['was'], undefined),
    set('setting', known, ['wasOn'], undefined),
  ];
}
