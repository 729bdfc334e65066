import { sidesOf } from '../../lane/sides-of.js';
import { laneName } from '../../lane/compare.js';
import { bindingOf, placesOf } from '../../lane/places-of.js';
import { readToldPlace } from '../../lane/told-place.js';
import type { Side } from '../../lane/side.js';
import { memoryOf, viewOf } from '../../place/memory.js';
import type { Exchange } from '../../model/exchange.js';
import type { Lane } from '../../model/lane.js';
import { childrenOf } from '../../model/order.js';
import type { Reader } from '../../model/project.js';
import type { Tag } from '../../model/tag.js';
import type { Binding, PanelElement, ReferenceTable, SignalKind } from '../../model/words.js';
import { protocolOf } from '../../protocol/catalogue.js';
import { tagOf } from '../../place/open-of.js';
import { panelElementsFor } from './panel-elements.js';
import { polarityTable, type PolarityTable } from './polarity.js';
import { signalOf, TABLE_OF_SIGNAL } from './table-for-signal.js';

/** A point of a tag map: what it is, by what it is found, and which way round it is. */
export interface PointRow {
  lane: Lane;
  name: string;
  caller: Side | null;
  other: Side | null;
  mine: Tag | undefined;
  theirs: Tag | undefined;
  binding: Binding | null;
  /** what the caller asks for, as typed; where names bind and nothing is typed, its own name */
  asks: string;
  signal: SignalKind | null;
  /** the table that its kind of signal usually stands in, and the one that it is asked for in */
  usual: ReferenceTable | null;
  table: ReferenceTable | null;
  /** elements of a panel that suit */
  elements: readonly PanelElement[];
  /** null as long as a polarity is not said */
  polarity: PolarityTable | null;
}

/** The points of a tag map, lane by lane. */
export function pointRows(reader: Reader, exchange: Exchange): PointRow[] {
  return childrenOf(reader, 'lane', exchange.id).map((lane): PointRow => {
    const sides = sidesOf(reader, lane, exchange);
    const caller = sides.find((side) => side.end.calling === 'calls') ?? null;
    const other = sides.find((side) => side !== caller) ?? null;
    const [mine, theirs] = [caller, other].map((side) => (side ? tagOf(reader, side.claim) : undefined));
    const binding = bindingOf(exchange, lane);
    const typed = caller?.claim.toldPlace?.trim() ?? '';
    const signal = mine && caller ? signalAt(mine, caller) : null;
    const modbus = protocolOf(exchange).id.startsWith('modbus');
    const people = caller?.station.roles.some((role) => role === 'operator panel' || role === 'SCADA station');
    const contact = lane.contact ?? mine?.polarity;
    const polarity =
      contact && mine?.polarity && theirs?.polarity ? polarityTable(contact, mine.polarity, theirs.polarity) : null;
    return {
      lane,
      caller,
      other,
      mine,
      theirs,
      binding,
      signal,
      polarity,
      name: caller?.claim.name || laneName(reader, lane),
      asks: typed || (binding === 'by name' ? (mine?.name ?? '') : ''),
      usual: modbus && signal ? TABLE_OF_SIGNAL[signal] : null,
      table: placesOf(exchange, lane) === 'named' && other ? tableOf(reader, typed, other) : null,
      elements: mine && people ? panelElementsFor(mine) : [],
    };
  });
}

/** What a simulator sets are inputs of the controller, and what it reads its outputs. */
function signalAt(mine: Tag, caller: Side): SignalKind | null {
  if (mine.signal || !caller.station.roles.includes('simulator')) return signalOf(mine);
  return signalOf({ ...mine, access: caller.claim.direction === 'reads' ? 'read and set' : 'read' });
}

function tableOf(reader: Reader, told: string, other: Side): ReferenceTable | null {
  const place = told === '' ? null : readToldPlace(reader, told, other.station.id, other.claim);
  const memory = place?.ok ? memoryOf(reader, place.value.area) : null;
  return (place?.ok && memory && viewOf(memory, place.value.view)?.table) || null;
}
