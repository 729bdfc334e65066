import { formatBits } from '../../../place/length.js';
import { formatAddress } from '../../../place/format-address.js';
import { set } from '../../../change/make.js';
import { sidesOf } from '../../../lane/sides-of.js';
import type { Side } from '../../../lane/side.js';
import { toldBeside } from '../../../lane/told-place.js';
import type { End } from '../../../model/end.js';
import type { Exchange } from '../../../model/exchange.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import type { Unit } from '../../../model/words.js';
import { protocolOf } from '../../../protocol/catalogue.js';
import { claimCell } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

/** Fewer references than this that are off alike may be so by chance. */
const LEAST = 2;

export const allShifted: Rule = {
  meta: {
    code: 'POS 8',
    title: 'The references of an end are not all off by the same amount',
    source: 'MODBUS Application Protocol Specification V1.1b3, 4.4: data are numbered from 1, addresses from 0',
    messages: {
      shifted: {
        severity: 'doubt',
        headline: '{exchange}: all {count} references of {a} into {b} are {amount} {direction}',
        says: ['{a}: asks for [[{told}]] …', '{b}: has it at [[{true}]] …'],
        consequence:
          'Every value is taken from its neighbour’s place, unless one end counts from 0 and the other from 1.',
        remedy: 'Find out how {a} counts, or whether a header comes first; then shift all of them at once.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }) {
      if (protocolOf(exchange).places(exchange.transfer) !== 'named') return;
      for (const end of childrenOf(reader, 'end', exchange.id)) {
        const shifted = end.calling === 'calls' ? shiftedAlike(reader, exchange, end) : null;
        if (!shifted) continue;
        const [first] = shifted.references;
        const name = (side: Side) => side.station.name;
        yield {
          message: 'shifted',
          label: 'all shifted',
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          parties: [
            { station: end.station, end: end.id },
            { station: first!.other.station.id, end: first!.other.end.id },
          ],
          cells: shifted.references.map(({ caller }) => claimCell(caller, 'toldPlace')),
          params: {
            exchange: exchange.name,
            a: name(first!.caller),
            b: name(first!.other),
            count: String(shifted.references.length),
            amount: formatBits(Math.abs(shifted.bits), shifted.unit),
            direction: shifted.bits > 0 ? 'too high' : 'too low',
            told: first!.caller.claim.toldPlace!.trim(),
            true: trueText(first!.other),
          },
          subjects: [end.id],
        };
      }
    },
  },
  fixes(finding, reader) {
    const changes = finding.cells.flatMap((cell) => {
      const claim = reader.get('claim', cell.id);
      const lane = claim && reader.get('lane', claim.lane);
      const exchange = lane && reader.get('exchange', lane.exchange);
      const other = exchange && sidesOf(reader, lane, exchange).find((s) => s.claim.id !== claim.id);
      return claim && other?.block ? [set('claim', claim, ['toldPlace'], trueText(other))] : [];
    });
    const label = `${finding.params.a}: shift ${finding.params.count} references by ${finding.params.amount}`;
    return changes.length > 0 ? [{ label, changes }] : [];
  },
};

const trueText = ({ block }: Side): string => formatAddress(block!.memory, block!.place);

/** Every reference that this end was told, where all of them are off, and by the same number of bits. */
function shiftedAlike(reader: Reader, exchange: Exchange, end: End) {
  const references: { caller: Side; other: Side }[] = [];
  let bits: number | null = null;
  let unit: Unit = 16;
  for (const lane of childrenOf(reader, 'lane', exchange.id)) {
    const sides = sidesOf(reader, lane, exchange);
    const caller = sides.find((s) => s.end.id === end.id);
    const other = sides.find((s) => s.end.id !== end.id);
    const told = caller?.claim.toldPlace?.trim() ?? '';
    if (!caller || !other?.block || told === '') continue;
    const beside = toldBeside(reader, told, other.block);
    if (!beside) return null;
    const off = beside.told - beside.true;
    if (off === 0 || (bits !== null && bits !== off)) return null;
    bits = off;
    unit = beside.located.view.unit;
    references.push({ caller, other });
  }
  return bits !== null && references.length >= LEAST ? { references, bits, unit } : null;
}
