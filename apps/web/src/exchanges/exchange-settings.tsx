import { addEnd } from '@dialoga/core/exchange';
import { EXCHANGE } from '@dialoga/core/fields';
import { childrenOf, inOrder, type Exchange } from '@dialoga/core/model';
import { FieldInput } from '../entities/field-input';
import { set } from '@dialoga/core/change';
import { linePassOf } from '@dialoga/core/time';
import styled from 'styled-components';
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

/** What concerns the exchange as a whole; for the protocol `other` everything that a protocol says. */
export function ExchangeSettings({ exchange }: { exchange: Exchange }) {
  const commit = useEdits();
  const dispatch = useAppDispatch();
  const project = useStateOf((s) => s.project.project)!;
  const ends = childrenOf(project, 'end', exchange.id);
  const name = (station: string) => project.get('station', station)?.name ?? station;
  const others = inOrder(project, 'station').filter((station) => !ends.some((e) => e.station === station.id));
  const pass = linePassOf(project, exchange);
  const field = (id: keyof typeof EXCHANGE.fields, label: string, more: { empty?: string; choice?: true } = {}) =>
    (EXCHANGE.fields[id].has?.(exchange, project) ?? true) && (
      <label>
        <span>{label} </span>
        <FieldInput
          of={EXCHANGE}
          row={exchange}
          field={id}
          label={label}
          step={`${exchange.name}: ${label}`}
          {...more}
        />
      </label>
    );
  const choice = true;
  return (
    <Row>
      {field('name', 'name', { empty: 'no name' })}
      {field('protocol', 'protocol', { choice })}
      {field('transfer', 'transfer', { choice })}
      {field('cadence', 'interval', { empty: 'on request' })}
      {field('timeout', 'timeout', { empty: 'not set' })}
      {field('responseDelay', 'response delay', { empty: 'not set' })}
      {pass && (
        <span>
          poll cycle: {pass.requests.length} requests, {pass.total.toFixed(0)} ms at {pass.settings}
        </span>
      )}
      {field('binding', 'bound', { choice, empty: 'as the protocol has it' })}
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
          On a lost link {field('sinks', 'the sinks', { choice, empty: 'not decided' })}
          {field('source', 'the source', { choice, empty: 'not decided' })}
          {field('back', 'outputs on reconnection', { choice, empty: 'not decided' })}
          {field('notRepeated', 'not sent again', { empty: 'not set' })}
        </Loss>
      )}
      {field('factName', 'called', { empty: 'no name' })}
      {field('carries', 'carries', { choice })}
      {field('places', 'places', { choice })}
      {field('tcpPort', 'default port', { empty: 'none' })}
      {field('media', 'runs on', { empty: 'ethernet' })}
      {field('limit', 'bytes at most', { empty: 'not known' })}
      {field('unitTold', 'unit entered', { choice })}
    </Row>
  );
}
