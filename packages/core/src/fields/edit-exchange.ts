import { set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { tell } from '../told/told.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import {
  BINDINGS,
  CARRIED,
  EXCHANGE_KINDS,
  NETWORK_KINDS,
  ON_RETURN,
  PLACES,
  SINKS_ON_LOSS,
  SOURCE_ON_LOSS,
  TRANSFERS,
  type NetworkKind,
} from '../model/words.js';
import { PROTOCOL_CHOICES, protocolOf } from '../protocol/catalogue.js';
import { parseTime } from '../text/parse-time.js';
import { OTHER_FACTS, OTHER_ID } from '../protocol/other.js';
import type { ToldField } from '../protocol/protocol.js';
import { changed, parseWhole, parseWord, parseYes, refused, type FieldEdit } from '../text/field-edit.js';

export type ExchangeField =
  | 'name'
  | 'kind'
  | 'protocol'
  | 'transfer'
  | 'cadence'
  | 'timeout'
  | 'responseDelay'
  | 'keepAlive'
  | 'inactivity'
  | 'watchedBy'
  | 'binding'
  | LossField
  | 'factName'
  | 'carries'
  | 'places'
  | 'tcpPort'
  | 'unitTold'
  | 'media'
  | 'limit';

/** What is decided for the time when the link is gone. */
export type LossField = 'sinks' | 'source' | 'back' | 'notRepeated';

const TIME_WORDS = {
  cadence: 'a cadence',
  timeout: 'a timeout',
  responseDelay: 'a response delay',
  keepAlive: 'a keep-alive time',
  inactivity: 'an inactivity time',
};

/** Typed or chosen text into one field of an exchange. */
export function editExchange(exchange: Exchange, field: ExchangeField, text: string): FieldEdit {
  const clean = text.trim();
  const facts = exchange.facts ?? OTHER_FACTS;
  const fact = (next: Partial<typeof facts>) => changed(set('exchange', exchange, ['facts'], { ...facts, ...next }));
  const lost = (value: string | undefined) => {
    const next = { ...exchange.onLoss, [field]: value };
    if (value === undefined) delete next[field as LossField];
    return changed(set('exchange', exchange, ['onLoss'], Object.keys(next).length === 0 ? null : next));
  };
  const loss = (words: readonly string[], what: string) => {
    if (clean === '') return lost(undefined);
    const word = parseWord(clean, words, what);
    return word.ok ? lost(word.value) : refused(word);
  };
  switch (field) {
    case 'binding': {
      if (clean === '') return changed(set('exchange', exchange, ['binding'], null));
      const binding = parseWord(clean, BINDINGS, 'binding');
      return binding.ok ? changed(set('exchange', exchange, ['binding'], binding.value)) : refused(binding);
    }
    case 'name':
      return changed(set('exchange', exchange, ['name'], clean));
    case 'protocol': {
      const choice = PROTOCOL_CHOICES.find((p) => p.id === clean || p.name.toLowerCase() === clean.toLowerCase());
      const names = PROTOCOL_CHOICES.map((p) => p.name).join(', ');
      if (!choice) return refused({ found: `“${text}” is no protocol known here`, expected: `write ${names}` });
      const changes: Change[] = [set('exchange', exchange, ['protocol'], choice.id)];
      const next = { ...exchange, protocol: choice.id };
      const transfers = protocolOf(next).transfers;
      if (!transfers.includes(exchange.transfer)) changes.push(set('exchange', exchange, ['transfer'], transfers[0]));
      if (choice.id === OTHER_ID && !exchange.facts) changes.push(set('exchange', exchange, ['facts'], OTHER_FACTS));
      return { changes, problem: null };
    }
    case 'transfer': {
      const transfer = parseWord(clean, TRANSFERS, 'way of transfer');
      return transfer.ok ? changed(set('exchange', exchange, ['transfer'], transfer.value)) : refused(transfer);
    }
    case 'cadence':
    case 'responseDelay':
    case 'keepAlive':
    case 'inactivity':
    case 'timeout': {
      if (clean === '') return changed(set('exchange', exchange, [field], null));
      const time = parseTime(clean, TIME_WORDS[field]);
      return time.ok ? changed(set('exchange', exchange, [field], time.value)) : refused(time);
    }
    case 'kind': {
      const kind = parseWord(clean, EXCHANGE_KINDS, 'kind of exchange');
      return kind.ok ? changed(set('exchange', exchange, ['kind'], kind.value)) : refused(kind);
    }
    case 'watchedBy':
      return changed(set('exchange', exchange, ['watchedBy'], clean || undefined));
    case 'sinks':
      return loss(SINKS_ON_LOSS, 'behaviour of the sinks');
    case 'source':
      return loss(SOURCE_ON_LOSS, 'behaviour of the source');
    case 'back':
      return loss(ON_RETURN, 'action on reconnection');
    case 'notRepeated':
      return lost(clean || undefined);
    case 'factName':
      return fact({ name: clean });
    case 'carries': {
      const carries = parseWord(clean, CARRIED, 'kind of load');
      return carries.ok ? fact({ carries: carries.value }) : refused(carries);
    }
    case 'places': {
      const places = parseWord(clean, PLACES, 'way to compare places');
      return places.ok ? fact({ places: places.value }) : refused(places);
    }
    case 'tcpPort': {
      if (clean === '') return fact({ tcpPort: null });
      const port = parseWhole(clean, 1, 65535, 'a TCP port');
      return port.ok ? fact({ tcpPort: port.value }) : refused(port);
    }
    case 'media': {
      const media: NetworkKind[] = [];
      for (const part of clean.split(',').filter((p) => p.trim() !== '')) {
        const kind = parseWord(part, NETWORK_KINDS, 'kind of network');
        if (!kind.ok) return refused(kind);
        if (!media.includes(kind.value)) media.push(kind.value);
      }
      return fact({ media });
    }
    case 'limit': {
      if (clean === '') return fact({ limit: null });
      const limit = parseWhole(clean.replace(/\s*bytes?$/, ''), 1, 1_000_000_000, 'a limit in bytes');
      return limit.ok ? fact({ limit: limit.value }) : refused(limit);
    }
    case 'unitTold': {
      const yes = parseYes(clean);
      return yes.ok ? fact({ unitTold: yes.value }) : refused(yes);
    }
  }
}

/** What an end is told about another, as typed; empty takes the protocol's default. */
export function editTold(end: End, other: string, field: ToldField['field'], text: string): FieldEdit {
  return changed(tell(end, other, field, text.trim()));
}
