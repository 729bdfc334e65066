import { set } from '../change/make.js';
import type { Port } from '../model/port.js';
import { CALLING, type Calling } from '../model/words.js';
import { PROTOCOLS, protocolNamed } from '../protocol/catalogue.js';
import { changed, refused, type FieldEdit } from '../text/field-edit.js';

/** What is switched off at a port: `Modbus TCP listens, Service access`. */
export function offText(port: Port): string {
  return Object.entries(port.off ?? {})
    .map(([id, { roles }]) => {
      const name = PROTOCOLS.find((p) => p.id === id)?.name ?? id;
      return roles.length === CALLING.length ? name : `${name} ${roles.join(' ')}`;
    })
    .join(', ');
}

/** `Modbus TCP` for both roles, or `Modbus TCP listens` for one; several with commas. Emptied, all is enabled. */
export function editOff(port: Port, text: string): FieldEdit {
  const off: Record<string, { roles: Calling[] }> = {};
  for (const part of text.split(/[,;]/).map((p) => p.trim())) {
    if (part === '') continue;
    const [, name = '', role] = /^(.*?)(?:\s+(calls|listens))?$/i.exec(part) ?? [];
    const protocol = protocolNamed(name);
    if (!protocol) {
      const expected = `write one of ${PROTOCOLS.map((p) => p.name).join(', ')}, and calls or listens if only that is off`;
      return refused({ found: `“${part}” names no protocol`, expected });
    }
    const roles = role ? [role.toLowerCase() as Calling] : [...CALLING];
    off[protocol] = { roles: CALLING.filter((r) => roles.includes(r) || (off[protocol]?.roles.includes(r) ?? false)) };
  }
  return changed(set('port', port, ['off'], Object.keys(off).length === 0 ? undefined : off));
}
