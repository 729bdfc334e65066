import { parseStartContent } from '../../../data/start-content.js';
import { entriesInOrder } from '../../../model/order.js';
import { formatBits } from '../../../place/length.js';
import { unreadSentence } from '../../../text/read.js';
import { stationName } from '../../port-words.js';
import type { Report, Rule } from '../../rule.js';

export const startContent: Rule = {
  meta: {
    code: 'SIZ 12',
    title: 'What start values write into a part of a block can be read, and fits it',
    source: 'common practice: an address takes four bytes, a name its characters and their count',
    messages: {
      tooLong: {
        severity: 'blocker',
        headline: '{a}: the start values of {part} take {content}, and it has {size}',
        says: ['{part}: [[{size}]]; {text} is [[{content}]]'],
        consequence: 'They reach into what stands behind it, or their end is cut off.',
        remedy: 'Shorten what is written, or give the part {content}.',
      },
      unread: {
        severity: 'doubt',
        headline: '{a}: the start values of {part} cannot be read: {why}',
        says: ['{part}: [[{text}]]'],
        consequence: 'What stands there when the module starts is not known.',
        remedy: 'Write an address, a text in quotes or bytes.',
      },
    },
  },
  on: {
    *area(area, { reader }): Generator<Report> {
      for (const [id, { members }] of entriesInOrder(area.reservations)) {
        for (const [key, member] of entriesInOrder(members ?? {})) {
          const text = member.content?.trim() ?? '';
          if (text === '') continue;
          const content = parseStartContent(text);
          if (content.ok && content.value.bytes.length * 8 <= member.bits) continue;
          yield {
            message: content.ok ? 'tooLong' : 'unread',
            label: content.ok ? 'start values too long' : 'start values',
            about: { kind: 'area', id: area.id, name: area.name },
            parties: [{ station: area.station }],
            cells: [{ kind: 'area', id: area.id, path: ['reservations', id, 'members', key, 'content'] }],
            params: {
              a: stationName(reader, area.station),
              part: member.name,
              text,
              size: formatBits(member.bits, 8),
              content: content.ok ? formatBits(content.value.bytes.length * 8, 8) : '',
              why: content.ok ? '' : unreadSentence(content),
            },
            subjects: [area.id, id, key],
          };
        }
      }
    },
  },
};
