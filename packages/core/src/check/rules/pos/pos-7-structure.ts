import { formatBits } from '../../../place/length.js';
import { set } from '../../../change/make.js';
import { isTyped, readable } from '../../../model/as-typed.js';
import { PROJECT_ID } from '../../../model/kinds.js';
import type { Side } from '../../../lane/side.js';
import { containsItself } from '../../../structure/lay-out.js';
import { layoutOfClaim } from '../../../lane/claim-structure.js';
import type { ClaimItem } from '../../../model/claim.js';
import { protocolOf } from '../../../protocol/catalogue.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const structureElsewhere: Rule = {
  meta: {
    code: 'POS 7',
    title: 'The members of a structure lie at the same offsets at both ends',
    source: 'a C compiler’s offsetof for natural alignment, Python’s struct for none; see structure/check-values',
    messages: {
      elsewhere: {
        severity: 'blocker',
        headline: '{lane}: from {member} on, {structure} has different offsets at {a} and {b}',
        says: ['{member} at [[{aOffset}]] of {aSize}', '{member} at [[{bOffset}]] of {bSize}'],
        consequence: 'Every member from there on is read from another one’s bytes.',
        remedy: 'Put a spare member before {member} where it lies lower, or settle the alignment of one end.',
      },
      moved: {
        severity: 'doubt',
        headline: '{lane}: at {a} the values no longer lie as its layout puts {structure}',
        says: ['{member}: [[not where {structure} has it]]'],
        consequence: 'The sheet says something else than what the program of {a} does.',
        remedy: 'Lay the values out anew, or take the structure off the claim.',
      },
      itself: {
        severity: 'blocker',
        headline: 'Structure {structure} contains itself, by its member {member}',
        says: ['{member}: [[{structure} again]]'],
        consequence: 'It has no size.',
        remedy: 'Give {member} another type.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const { exchange } = comparison;
      if (!comparison.sides.some((side) => structureOf(side) !== '')) return;
      const laid = comparison.sides.flatMap((side) => {
        const layout = layoutOfClaim(context.reader, side.claim, side.end, exchange);
        return layout ? [{ side, layout, structure: structureOf(side) }] : [];
      });
      const nameOf = (id: string) => context.reader.get('structure', id)?.name ?? '';
      for (const { side, layout, structure } of laid) {
        const items = new Map(Object.values(side.claim.items).map((item) => [item.name, item]));
        const moved = layout.members.find((m) => !liesAt(items.get(m.path), m.offset));
        if (!moved) continue;
        yield laneReport(context, comparison, {
          message: 'moved',
          label: 'not as laid out',
          sides: [side],
          cells: [claimCell(side, 'type')],
          params: { structure: nameOf(structure), member: moved.path },
          subjects: [side.claim.id],
        });
      }
      if (protocolOf(exchange).carries(exchange.transfer) === 'values') return;
      const [a, ...others] = laid;
      for (const b of a ? others : []) {
        if (a!.structure !== b.structure) continue;
        const there = new Map(b.layout.members.map((m) => [m.path, m]));
        const first = a!.layout.members.find((m) => there.get(m.path)?.offset.bits !== m.offset.bits);
        if (!first) continue;
        yield laneReport(context, comparison, {
          message: 'elsewhere',
          label: `from ${first.path} on`,
          sides: [a!.side, b.side],
          cells: [claimCell(b.side, 'type'), claimCell(a!.side, 'type')],
          params: {
            structure: nameOf(b.structure),
            member: first.path,
            aOffset: offsetWords(first.offset.bits),
            aSize: formatBits(a!.layout.size, 8),
            bOffset: offsetWords(there.get(first.path)!.offset.bits),
            bSize: formatBits(b.layout.size, 8),
          },
          subjects: [b.side.claim.id],
        });
      }
    },
    *project(project, { all, reader }) {
      for (const structure of all('structure')) {
        for (const [key, member] of Object.entries(structure.members)) {
          const type = readable(member.type);
          if (!type || !containsItself(reader, structure.id, type)) continue;
          yield {
            message: 'itself',
            label: 'contains itself',
            about: { kind: 'project', id: PROJECT_ID, name: project.name },
            parties: [],
            cells: [{ kind: 'structure', id: structure.id, path: ['members', key, 'type'] }],
            params: { structure: structure.name, member: member.name },
            subjects: [structure.id, key],
          };
        }
      }
    },
  },
  fixes(finding, reader) {
    const claim = finding.message === 'moved' ? reader.get('claim', finding.cells[0]?.id ?? '') : undefined;
    const end = claim && reader.get('end', claim.end);
    const exchange = end && reader.get('exchange', end.exchange);
    const layout = claim && end && exchange && layoutOfClaim(reader, claim, end, exchange);
    if (!claim || !layout) return [];
    const there = new Map(layout.members.map((m) => [m.path, m]));
    const changes = Object.entries(claim.items).flatMap(([key, item]) => {
      const member = there.get(item.name);
      if (!member || liesAt(item, member.offset)) return [];
      return [set('claim', claim, ['items', key, 'offset'], member.offset)];
    });
    return changes.length > 0 ? [{ label: `${finding.params.a}: lay the values out anew`, changes }] : [];
  },
};

const structureOf = ({ claim }: Side): string => readable(claim.type)?.structure ?? '';
const offsetWords = (bits: number): string => `byte ${bits / 8}`;

const liesAt = (item: ClaimItem | undefined, offset: { bits: number; bit?: number }): boolean =>
  item?.offset !== undefined &&
  item.offset !== null &&
  !isTyped(item.offset) &&
  item.offset.bits === offset.bits &&
  item.offset.bit === offset.bit;
