import { childrenOf } from '../../../model/order.js';
import type { Kind } from '../../../model/kinds.js';
import { racksOf } from '../../module-words.js';
import { stationName } from '../../port-words.js';
import type { Report, Rule } from '../../rule.js';

export const nameMissing: Rule = {
  meta: {
    code: 'NAM 1',
    title: 'Stations, networks, areas, tags, exchanges, and modules that are entered elsewhere have a name',
    source: 'common practice: what has no name cannot be told to anybody',
    messages: {
      missing: {
        severity: 'blocker',
        headline: '{what} has no name',
        says: ['[[no name]]', 'has it entered'],
        consequence: 'Nobody can be told which one is meant.',
        remedy: 'Type a name.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      if (station.name.trim() === '') yield unnamed('station', station.id, 'a station', [{ station: station.id }]);
      for (const tag of childrenOf(reader, 'tag', station.id)) {
        if (tag.name.trim() === '') yield unnamed('tag', tag.id, `a tag of ${station.name}`, [{ station: station.id }]);
      }
      for (const { modules } of racksOf(reader, station.id)) {
        for (const module of modules) {
          if (module.name.trim() !== '') continue;
          // Whoever has it entered from elsewhere knows it by its name.
          const far = childrenOf(reader, 'landing', module.id).find((landing) => landing.station !== station.id);
          if (!far) continue;
          const what = `a module of ${station.name} that ${stationName(reader, far.station)} has entered`;
          yield unnamed('module', module.id, what, [{ station: station.id }, { station: far.station }]);
        }
      }
    },
    *network(network) {
      if (network.name.trim() === '') yield unnamed('network', network.id, 'a network', []);
    },
    *area(area, { reader }) {
      if (area.name.trim() !== '') return;
      const station = reader.get('station', area.station)?.name ?? '';
      yield unnamed('area', area.id, `an area of ${station}`, [{ station: area.station }]);
    },
    *exchange(exchange) {
      if (exchange.name.trim() === '') yield unnamed('exchange', exchange.id, 'an exchange', []);
    },
  },
};

function unnamed(kind: Kind, id: string, what: string, parties: { station: string }[]): Report {
  return {
    message: 'missing',
    label: 'no name',
    about: { kind, id, name: what },
    parties,
    cells: [{ kind, id, path: ['name'] }],
    params: { what: what[0]!.toUpperCase() + what.slice(1) },
    subjects: [id],
  };
}
