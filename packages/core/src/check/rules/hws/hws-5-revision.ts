import { set } from '../../../change/make.js';
import { accepts, parseAccepted } from '../../../hardware/revisions.js';
import { childrenOf } from '../../../model/order.js';
import { moduleName, racksOf } from '../../module-words.js';
import { stationName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const revision: Rule = {
  meta: {
    code: 'HWS 5',
    title: 'The revision that was found is among those that are accepted',
    source: 'common practice: a controller compares what it was told with what it finds, and refuses another',
    messages: {
      refused: {
        severity: 'blocker',
        headline: '{b} accepts {accepted} of {a}; {found} was found',
        says: ['{a}, revision [[{found}]]', 'accepts {accepted}'],
        consequence: '{b} refuses the module; its inputs stay as they are and its outputs off.',
        remedy:
          'Accept {found} at {b}. Not “any”: the next module would not be looked at either. New firmware only where there is a reason for it.',
      },
      unread: {
        severity: 'blocker',
        headline: '{b}: {fault}',
        says: ['{a}', 'accepts [[{accepted}]]: {fault}'],
        consequence: 'Whether {b} takes the module is not known.',
        remedy: 'Correct it: {expected}.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const { rack, modules } of racksOf(reader, station.id)) {
        for (const module of modules) {
          for (const landing of childrenOf(reader, 'landing', module.id)) {
            const text = landing.accepted.trim();
            if (text === '') continue;
            const range = parseAccepted(text);
            const found = (module.found?.revision ?? '').trim();
            if (range.ok && (found === '' || accepts(range.value, found) !== false)) continue;
            yield {
              message: range.ok ? 'refused' : 'unread',
              label: 'revision',
              about: { kind: 'station', id: station.id, name: station.name },
              parties: [{ station: station.id }, { station: landing.station }],
              cells: [
                { kind: 'landing', id: landing.id, path: ['accepted'] },
                { kind: 'module', id: module.id, path: ['found'] },
              ],
              params: {
                station: station.name,
                a: moduleName(rack, module),
                b: stationName(reader, landing.station),
                accepted: text,
                found,
                fault: range.ok ? '' : range.found,
                expected: range.ok ? '' : range.expected,
              },
              subjects: [landing.id],
            };
          }
        }
      }
    },
  },
  fixes(finding, reader) {
    const landing = reader.get('landing', finding.cells[0]!.id);
    if (!landing || finding.message !== 'refused') return [];
    const { b, accepted, found = '' } = finding.params;
    // The found one with the later ones of the same first figure, or the found one alone.
    return [`${found}–${found.split('.')[0]}.x`, found].map((range) => ({
      label: `${b} accepts: ${accepted} → ${range}`,
      changes: [set('landing', landing, ['accepted'], range)],
    }));
  },
};
