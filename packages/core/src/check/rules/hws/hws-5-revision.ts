import { set } from '../../../change/make.js';
import { accepts, parseAccepted } from '../../../rack/revisions.js';
import { childrenOf } from '../../../model/order.js';
import { moduleName, racksOf } from '../../module-words.js';
import { stationName } from '../../port-words.js';
import type { Station } from '../../../model/station.js';
import type { Report, Rule } from '../../rule.js';

export const revision: Rule = {
  meta: {
    code: 'HWS 5',
    title: 'The revision that was found is among those that are accepted',
    source: 'common practice: a controller compares what is entered with what it finds, and refuses another',
    messages: {
      refused: {
        severity: 'blocker',
        headline: '{b} accepts {accepted} of {a}; {found} was found',
        says: ['{a}, revision [[{found}]]', 'accepts {accepted}'],
        consequence: '{b} refuses the module; its inputs stay as they are and its outputs off.',
        remedy:
          'Accept {found} at {b}. Do not enter “any”: later modules would not be checked. New firmware only where there is a reason for it.',
      },
      listed: {
        severity: 'blocker',
        headline: '{b} accepts {accepted} of {a}; the hardware list has {found}',
        says: ['{a}, revision [[{found}]] on the list{source}', 'accepts {accepted}'],
        consequence: '{b} will refuse the module that is ordered.',
        remedy: 'Accept {found} at {b}, or correct the list.',
      },
      another: {
        severity: 'doubt',
        headline: '{a}: revision {found} was found, and the hardware list has {accepted}',
        says: ['{a}: [[{found}]] found, [[{accepted}]] on the list{source}'],
        consequence: 'The next spare part by the list is another than the one that runs here.',
        remedy: 'Correct the list, or find out why another one was plugged in.',
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
    *station(station, { reader }): Generator<Report> {
      for (const { rack, modules } of racksOf(reader, station.id)) {
        for (const module of modules) {
          const listed = (module.listed?.revision ?? '').trim();
          const there = (module.found?.revision ?? '').trim();
          const source = module.listed?.source ? ` (${module.listed.source})` : '';
          if (listed !== '' && there !== '' && listed !== there) {
            yield {
              message: 'another',
              label: 'revision',
              about: aboutOf(station),
              parties: [{ station: station.id }],
              cells: [
                { kind: 'module', id: module.id, path: ['found'] },
                { kind: 'module', id: module.id, path: ['listed'] },
              ],
              params: { a: moduleName(rack, module), found: there, accepted: listed, source },
              subjects: [module.id, 'listed'],
            };
          }
          for (const landing of childrenOf(reader, 'landing', module.id)) {
            const text = landing.accepted.trim();
            if (text === '') continue;
            const range = parseAccepted(text);
            // What is in the rack counts; before anybody looked, what was ordered.
            const found = there || listed;
            if (range.ok && (found === '' || accepts(range.value, found) !== false)) continue;
            yield {
              message: !range.ok ? 'unread' : there ? 'refused' : 'listed',
              label: 'revision',
              about: aboutOf(station),
              parties: [{ station: station.id }, { station: landing.station }],
              cells: [
                { kind: 'landing', id: landing.id, path: ['accepted'] },
                { kind: 'module', id: module.id, path: [there ? 'found' : 'listed'] },
              ],
              params: {
                source,
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
    if (!landing || (finding.message !== 'refused' && finding.message !== 'listed')) return [];
    const { b, accepted, found = '' } = finding.params;
    // The found one with the later ones of the same first figure, or the found one alone.
    return [`${found}–${found.split('.')[0]}.x`, found].map((range) => ({
      label: `${b} accepts: ${accepted} → ${range}`,
      changes: [set('landing', landing, ['accepted'], range)],
    }));
  },
};

const aboutOf = (station: Station) => ({ kind: 'station', id: station.id, name: station.name }) as const;
