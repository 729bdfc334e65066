import { formatMask, parseIpv4, parseMask } from '../wiring/ipv4.js';
import { set } from '../change/make.js';
import { entriesInOrder } from '../model/order.js';
import type { Port } from '../model/port.js';
import { ADDRESS_SOURCES, type AddressSource } from '../model/words.js';
import { changed, refused, type FieldEdit } from '../text/field-edit.js';

/** A port's other addresses: `10.48.20.5/24, 10.48.30.5/24 automatic`. */
export function furtherText(port: Port): string {
  return entriesInOrder(port.further ?? {})
    .map(([, { address, mask, how }]) => {
      const read = parseMask(mask);
      const bits = read.ok ? `/${read.value}` : mask.trim() === '' ? '' : ` ${mask}`;
      return `${address}${bits}${how === 'by hand' ? '' : ` ${how}`}`;
    })
    .join(', ');
}

/** Addresses with commas, each with its mask and, where it is not set by hand, `automatic` or `temporary`. */
export function editFurther(port: Port, text: string, newId: () => string): FieldEdit {
  const known = entriesInOrder(port.further ?? {});
  const further: NonNullable<Port['further']> = {};
  const parts = text.split(/[,;]/).map((p) => p.trim());
  for (const [i, part] of parts.filter((p) => p !== '').entries()) {
    const [where = '', ...words] = part.split(/\s+/);
    const [address = '', bits] = where.split('/');
    const how = words.join(' ') || 'by hand';
    const expected = 'write 10.48.20.5/24, then automatic or temporary if it is not set by hand';
    const read = parseIpv4(address);
    if (!read.ok) return refused({ found: read.found, expected });
    const mask = parseMask(bits === undefined ? '' : `/${bits}`);
    if (!mask.ok) return refused({ found: bits === undefined ? `${address} has no mask` : mask.found, expected });
    if (!(ADDRESS_SOURCES as readonly string[]).includes(how)) return refused({ found: `“${how}” is not understood`, expected });
    const key = known[i]?.[0] ?? newId();
    further[key] = { order: (i + 1) * 10, address, mask: formatMask(mask.value), how: how as AddressSource };
  }
  return changed(set('port', port, ['further'], Object.keys(further).length === 0 ? undefined : further));
}
