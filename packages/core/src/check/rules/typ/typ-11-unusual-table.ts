import { viewOf } from '../../../place/memory.js';
import { memoryOf } from '../../../place/memory.js';
import { readToldPlace } from '../../../lane/told-place.js';
import { placesOf } from '../../../lane/places-of.js';
import { tagOf } from '../../../place/open-of.js';
import { isUsualTable, signalOf, TABLE_OF_SIGNAL } from '../../../tags/signal/table-for-signal.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const unusualTable: Rule = {
  meta: {
    code: 'TYP 11',
    title: 'A kind of signal stands in the table that is meant for it',
    source: 'common practice: discrete in in discrete inputs, discrete out in coils, analogue in in input registers',
    messages: {
      table: {
        severity: 'hint',
        headline: '{lane}: {tag} of {a} is {signal}, and is asked for among the {table}',
        says: ['{tag}: [[{signal}]], asked for at {told}', '{told} is one of the [[{table}]]'],
        consequence: 'It may be right; devices differ. It may also be the number of another table.',
        remedy: 'Look in the device’s list whether it stands among the {usual}.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const { exchange, lane, sides } = comparison;
      if (exchange.kind !== 'tag map' || placesOf(exchange, lane) !== 'named') return;
      for (const side of sides) {
        const other = sides.find((s) => s !== side);
        const tag = side.end.calling === 'calls' ? tagOf(context.reader, side.claim) : undefined;
        const told = side.claim.toldPlace?.trim() ?? '';
        const signal = tag && signalOf(tag);
        if (!tag || !other || told === '' || !signal) continue;
        const place = readToldPlace(context.reader, told, other.station.id, other.claim);
        const memory = place.ok ? memoryOf(context.reader, place.value.area) : null;
        const table = place.ok && memory ? viewOf(memory, place.value.view)?.table : undefined;
        if (!table || isUsualTable(signal, table)) continue;
        yield laneReport(context, comparison, {
          message: 'table',
          label: 'table',
          sides: [side, other],
          cells: [claimCell(side, 'toldPlace'), { kind: 'tag', id: tag.id, path: ['signal'] }],
          params: { tag: tag.name, signal, table, told, usual: TABLE_OF_SIGNAL[signal] },
          subjects: [side.claim.id],
        });
      }
    },
  },
};
