import { set } from '../change/make.js';
import type { Network } from '../model/network.js';
import type { Port } from '../model/port.js';
import { ELECTRICAL, LINE_ROLES, RADIO_SORTS } from '../model/words.js';
import { formatBusRate, parseBusRate } from '../wiring/bus-rates.js';
import { parseInSpace, SPACES } from '../wiring/address-spaces.js';
import { formatSerial, parseSerial } from '../wiring/serial-settings.js';
import { changed, parseWord, refused, type FieldEdit } from '../text/field-edit.js';

/** What is set at each port of a network besides IP addresses, to be read side by side. */
export const LINE_FIELDS = {
  'serial line': ['lineRole', 'unit', 'serial', 'electrical'],
  'token bus': ['node', 'busRate', 'busProfile', 'busActive'],
  radio: ['sort', 'number', 'id', 'band', 'rate', 'mode'],
} as const;
export type LineKind = keyof typeof LINE_FIELDS;
export type LineField = (typeof LINE_FIELDS)[LineKind][number];

export const LINE_WORDS: Record<LineField, string> = {
  lineRole: 'Role',
  unit: 'Unit',
  serial: 'Rate, framing',
  electrical: 'Standard',
  node: 'Node',
  busRate: 'Rate',
  busProfile: 'Bus profile',
  busActive: 'Takes the token',
  sort: 'Sort',
  number: 'Number',
  id: 'Network id',
  band: 'Band',
  rate: 'Rate',
  mode: 'Mode',
};

export const hasLineFields = (network: Pick<Network, 'kind'>): network is Pick<Network, 'kind'> & { kind: LineKind } =>
  network.kind in LINE_FIELDS;

const RADIO_FIELDS: readonly LineField[] = ['sort', 'number', 'id', 'band', 'rate', 'mode'];

/** The path in a port of one of these fields. */
export const linePath = (field: LineField): string[] => (RADIO_FIELDS.includes(field) ? ['radio', field] : [field]);

export function lineText(port: Port, field: LineField): string {
  switch (field) {
    case 'unit':
      return port.unit === null ? '' : String(port.unit);
    case 'busActive':
      return port.busActive === undefined ? '' : port.busActive ? 'yes' : 'no';
    case 'sort':
    case 'number':
    case 'id':
    case 'band':
    case 'rate':
    case 'mode':
      return port.radio?.[field] ?? '';
    default:
      return port[field] ?? '';
  }
}

/** Typed text into one of these fields. Settings that can be read are written in one way; others stay as typed. */
export function editLine(port: Port, field: LineField, text: string): FieldEdit {
  const clean = text.trim();
  const put = (value: unknown) => changed(set('port', port, linePath(field), value));
  switch (field) {
    case 'unit': {
      if (clean === '') return put(null);
      const unit = parseInSpace(clean, { ...SPACES.unit, least: 0, most: 65535 });
      return unit.ok ? put(unit.value) : refused(unit);
    }
    case 'serial': {
      const serial = parseSerial(clean);
      return put(serial.ok ? formatSerial(serial.value) : clean || undefined);
    }
    case 'busRate': {
      const rate = parseBusRate(clean);
      return put(rate.ok ? formatBusRate(rate.value) : clean || undefined);
    }
    case 'lineRole':
    case 'electrical': {
      if (clean === '') return put(undefined);
      const word = parseWord<string>(
        clean,
        field === 'lineRole' ? LINE_ROLES : ELECTRICAL,
        LINE_WORDS[field].toLowerCase(),
      );
      return word.ok ? put(word.value) : refused(word);
    }
    case 'busActive': {
      if (clean === '') return put(undefined);
      const yes = parseWord(clean, ['yes', 'no'], 'answer');
      return yes.ok ? put(yes.value === 'yes') : refused(yes);
    }
    case 'sort': {
      const sort = parseWord(clean, RADIO_SORTS, 'sort of unit');
      if (!sort.ok) return refused(sort);
      return port.radio ? put(sort.value) : changed(set('port', port, ['radio'], { sort: sort.value }));
    }
    case 'number':
    case 'id':
    case 'band':
    case 'rate':
    case 'mode':
      if (!port.radio && clean === '') return changed();
      return port.radio
        ? put(clean || undefined)
        : changed(set('port', port, ['radio'], { sort: 'end unit', [field]: clean }));
    default:
      return put(clean || undefined);
  }
}
