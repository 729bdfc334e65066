import { set } from '@dialoga/core/change';
import { addEnd, protocolsFor } from '@dialoga/core/exchange';
import { editExchange, type ExchangeField } from '@dialoga/core/fields';
import {
  BINDINGS,
  CARRIED,
  childrenOf,
  inOrder,
  ON_RETURN,
  PLACES,
  SINKS_ON_LOSS,
  SOURCE_ON_LOSS,
  type Exchange,
} from '@dialoga/core/model';
import { OTHER_FACTS, OTHER_ID, protocolOf } from '@dialoga/core/protocol';
import { linePassOf } from '@dialoga/core/time';
import styled from 'styled-components';
import { InlineInput } from '../forms/inline-input';
import { InlineSelect } from '../forms/inline-select';
import { useEdits } from '../store/use-edits';
import { drop } from '../store/dropping';
import { newId } from '../api/new-id';
import { useAppDispatch, useStateOf } from '../store/store';
import { TextButton } from '../theme/parts';
import { colour, space } from '../theme/tokens';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: ${space[2]}px ${space[5]}px;
  padding: 0 ${space[4]}px ${space[2]}px;
  border-bottom: 1px solid ${colour.hairline};
  label span {
    color: ${colour.ink2};
  }
`;

const Loss = styled.div`
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: ${space[2]}px ${space[5]}px;
`;

const orUndecided = (words: readonly string[]) => [{ value: '', text: 'not decided' }, ...choices(words)];
const choices = (words: readonly string[]) => words.map((word) => ({ value: word, text: word }));

/** What concerns the exchange as a whole; for the protocol `other` everything that a protocol says. */
export function ExchangeSettings({ exchange }: { exchange: Exchange }) {
  const commit = useEdits();
  const dispatch = useAppDispatch();
  const project = useStateOf((s) => s.project.project)!;
  const ends = childrenOf(project, 'end', exchange.id);
  const name = (station: string) => project.get('station', station)?.name ?? station;
  const others = inOrder(project, 'station').filter((station) => !ends.some((e) => e.station === station.id));
  const facts = exchange.facts ?? OTHER_FACTS;
  const other = exchange.protocol === OTHER_ID;
  const pass = linePassOf(project, exchange);
  const put = (field: ExchangeField) => (text: string) =>
    commit(`${exchange.name}: ${field}`, [editExchange(exchange, field, text)]);
  const input = (label: string, field: ExchangeField, value: string, placeholder: string, mono = true) => (
    <label>
      <span>{label} </span>
      <InlineInput label={label} value={value} placeholder={placeholder} mono={mono} onCommit={put(field)} />
    </label>
  );
  const select = (label: string, field: ExchangeField, value: string, options: { value: string; text: string }[]) => (
    <label>
      <span>{label} </span>
      <InlineSelect label={label} value={value} options={options} onChoose={put(field)} />
    </label>
  );
  return (
    <Row>
      {input('name', 'name', exchange.name, 'no name', false)}
      {select(
        'protocol',
        'protocol',
        exchange.protocol,
        protocolsFor(exchange.kind).map((p) => ({ value: p.id, text: p.name })),
      )}
      {select('transfer', 'transfer', exchange.transfer, choices(protocolOf(exchange).transfers))}
      {input('cadence, ms', 'cadence', exchange.cadence === null ? '' : String(exchange.cadence), 'on request')}
      {input('timeout, ms', 'timeout', exchange.timeout ? String(exchange.timeout) : '', 'not set')}
      {exchange.transfer === 'requests' &&
        input(
          'response delay, ms',
          'responseDelay',
          exchange.responseDelay ? String(exchange.responseDelay) : '',
          'not set',
        )}
      {pass && (
        <span>
          poll cycle: {pass.requests.length} requests, {pass.total.toFixed(0)} ms at {pass.settings}
        </span>
      )}
      {exchange.kind === 'tag map' &&
        select('bound', 'binding', exchange.binding ?? '', [
          { value: '', text: 'as the protocol has it' },
          ...choices(BINDINGS),
        ])}
      {exchange.kind === 'coupler area' && (
        <label>
          <span>through </span>
          <InlineSelect
            label="Coupler"
            value={exchange.via ?? ''}
            options={[
              { value: '', text: 'no coupler chosen' },
              ...inOrder(project, 'station')
                .filter((s) => s.roles.includes('coupler'))
                .map((s) => ({ value: s.id, text: s.name })),
            ]}
            onChoose={(via) =>
              commit(`${exchange.name}: coupler`, [
                { changes: [set('exchange', exchange, ['via'], via || null)], problem: null },
              ])
            }
          />
        </label>
      )}
      {others.length > 0 && (
        <label>
          <span>another end </span>
          <InlineSelect
            label="Another end"
            value=""
            options={[{ value: '', text: 'none' }, ...others.map((s) => ({ value: s.id, text: s.name }))]}
            onChoose={(station) => {
              const { changes } = addEnd(project, exchange.id, station, newId);
              if (station) commit(`${exchange.name}: ${name(station)} as another end`, [{ changes, problem: null }]);
            }}
          />
        </label>
      )}
      {ends.length > 2 &&
        ends.map((end) => (
          <TextButton
            key={end.id}
            onPress={() => dispatch(drop(`${exchange.name} without ${name(end.station)}`, 'end', end.id))}
          >
            Remove {name(end.station)}
          </TextButton>
        ))}
      {exchange.kind !== 'service link' && (
        <Loss aria-label="On a lost link" role="group">
          On a lost link {select('the sinks', 'sinks', exchange.onLoss?.sinks ?? '', orUndecided(SINKS_ON_LOSS))}
          {select('the source', 'source', exchange.onLoss?.source ?? '', orUndecided(SOURCE_ON_LOSS))}
          {select('outputs on reconnection', 'back', exchange.onLoss?.back ?? '', orUndecided(ON_RETURN))}
          {input('not sent again', 'notRepeated', exchange.onLoss?.notRepeated ?? '', 'not set', false)}
        </Loss>
      )}
      {other && input('called', 'factName', facts.name, 'no name', false)}
      {other && select('carries', 'carries', facts.carries, choices(CARRIED))}
      {other && select('places', 'places', facts.places, choices(PLACES))}
      {other && input('default port', 'tcpPort', facts.tcpPort === null ? '' : String(facts.tcpPort), 'none')}
      {other && input('runs on', 'media', (facts.media ?? []).join(', '), 'ethernet', false)}
      {other && input('bytes at most', 'limit', facts.limit ? String(facts.limit) : '', 'not known')}
      {other && select('unit told', 'unitTold', facts.unitTold ? 'yes' : 'no', choices(['yes', 'no']))}
    </Row>
  );
}
