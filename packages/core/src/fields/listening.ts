import { set } from '../change/make.js';
import type { Port } from '../model/port.js';
import type { Project, Reader } from '../model/project.js';
import { PROTOCOLS, protocolNamed } from '../protocol/catalogue.js';
import { listeningOn } from '../wiring/listening.js';
import { changed, parseWhole, refused, type FieldEdit } from '../text/field-edit.js';

/** The TCP ports that are stated at a port, to edit: `1502`, or `1502 Modbus TCP, 20000 DNP3` where it answers several. */
export function listeningText(reader: Reader, port: Port): string {
  const servers = listeningOn(reader, port);
  const stated = servers.filter((s) => s.stated);
  return stated.map((s) => (servers.length === 1 ? String(s.tcpPort) : `${s.tcpPort} ${s.name}`)).join(', ');
}

/** `1502`, or `1502 Modbus TCP, 20000 DNP3`. Emptied, each protocol listens on its own port again. */
export function editListening(project: Project, port: Port, text: string): FieldEdit {
  const listens: Port['listens'] = {};
  const answered = listeningOn(project, port);
  for (const part of text.split(/[,;]/).map((p) => p.trim())) {
    if (part === '') continue;
    const [, number = '', name = ''] = /^(\S+)\s*(.*)$/.exec(part) ?? [];
    const tcpPort = parseWhole(number, 1, 65535, 'a TCP port');
    if (!tcpPort.ok) return refused(tcpPort);
    const alone = answered.length === 1 ? answered[0]!.protocol : null;
    const protocol = name === '' ? alone : protocolNamed(name, (p) => p.tcpPort !== null);
    if (!protocol) {
      const names = PROTOCOLS.filter((p) => p.tcpPort !== null).map((p) => p.name);
      const found = name === '' ? `which protocol listens on ${number} is not said` : `“${name}” names no protocol with a TCP port`;
      return refused({ found, expected: `write the number and one of ${names.join(', ')}, as in 1502 Modbus TCP` });
    }
    listens[protocol] = { tcpPort: tcpPort.value };
  }
  return changed(set('port', port, ['listens'], listens));
}
