import { formatMask, parseMask } from '../../../wiring/ipv4.js';
import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import type { Rule } from '../../rule.js';

export const masksDiffer: Rule = {
  meta: {
    code: 'ADR 4',
    title: 'All ports on a network have one mask',
    source: 'RFC 950, 2.1: all hosts of a subnet share its mask',
    messages: {
      differs: {
        severity: 'doubt',
        headline: '{network}: {a} has the mask {own}, most have {usual}',
        says: ['{a}: [[{own}]]', '{b} and others: {usual}'],
        consequence: 'The ports disagree on which addresses are local; some are reached and some are not.',
        remedy: 'Give all ports of {network} one mask.',
      },
    },
  },
  on: {
    *network(network, { reader }) {
      if (network.kind !== 'ethernet') return;
      const ports = childrenOf(reader, 'port', network.id).flatMap((port) => {
        const mask = parseMask(port.mask);
        return mask.ok && port.address.trim() !== '' ? [{ port, prefix: mask.value }] : [];
      });
      const counts = new Map<number, number>();
      for (const { prefix } of ports) counts.set(prefix, (counts.get(prefix) ?? 0) + 1);
      const [usual] = [...counts].sort((a, b) => b[1] - a[1] || b[0] - a[0])[0] ?? [];
      const model = ports.find((p) => p.prefix === usual)?.port;
      if (usual === undefined || !model) return;
      const name = (id: string) => reader.get('station', id)?.name ?? '';
      for (const { port, prefix } of ports) {
        if (prefix === usual) continue;
        yield {
          message: 'differs',
          label: 'masks differ',
          about: { kind: 'network', id: network.id, name: network.name },
          parties: [{ station: port.station }, { station: model.station }],
          cells: [{ kind: 'port', id: port.id, path: ['mask'] }],
          params: {
            network: network.name,
            a: name(port.station),
            b: name(model.station),
            own: formatMask(prefix),
            usual: formatMask(usual),
          },
          subjects: [port.id],
        };
      }
    },
  },
  fixes(finding, reader) {
    const port = reader.get('port', finding.cells[0]!.id)!;
    const label = `${finding.params.a}: ${finding.params.own} → ${finding.params.usual}`;
    return [{ label, changes: [set('port', port, ['mask'], finding.params.usual)] }];
  },
};
