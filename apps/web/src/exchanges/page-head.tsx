import { cellText } from '../findings/cell-text';
import { set } from '@dialoga/core/change';
import { protocolsFor } from '@dialoga/core/exchange';
import { editTold } from '@dialoga/core/fields';
import { SWAP_WORDS } from '@dialoga/core/lane';
import { childrenOf, SWAPS, type End, type Exchange, type ToldFieldName } from '@dialoga/core/model';
import { protocolAt, protocolOf } from '@dialoga/core/protocol';
import { trafficOf } from '@dialoga/core/route';
import { TOLD_WORDS, toldFields } from '@dialoga/core/told';
import { connectionsUsed } from '@dialoga/core/wiring';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useWrongCells } from '../findings/use-wrong-cells';
import { InlineInput } from '../forms/inline-input';
import { InlineSelect } from '../forms/inline-select';
import { steady } from '../page/steady';
import { useEdits } from '../store/use-edits';
import { askPath } from '../page/ask-path';
import { useStateOf } from '../store/store';
import { colour, font, space } from '../theme/tokens';
import { partnerWords } from './words';

const Head = styled.section<{ $right: boolean }>`
  min-width: 0;
  padding: ${space[2]}px ${space[3]}px ${space[2]}px ${({ $right }) => ($right ? space[2] : 46)}px;
  border-left: ${({ $right }) => ($right ? `4px double ${colour.right}` : `2px solid ${colour.left}`)};
  h2 {
    display: inline;
    font: 600 16px/1.3 ${font.serif};
    color: ${({ $right }) => ($right ? colour.right : colour.left)};
  }
`;

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 ${space[3]}px;
  min-height: 23px;
`;

const Quiet = styled.span`
  color: ${colour.ink2};
`;

const FIELD_WORDS: Record<ToldFieldName, string> = { ...TOLD_WORDS, tcpPort: 'port', slot: 'slot' };

const capital = (word: string): string => word[0]!.toUpperCase() + word.slice(1);

interface Props {
  exchange: Exchange;
  end: End;
  side: 'left' | 'right';
  /** all of the exchange: with more than two, which of them stands here is chosen */
  ends: readonly End[];
  onChoose: (end: string) => void;
}

/** One end's head: where it is wired, whether it calls or listens, and what it was told about the other. */
export const PageHead = steady(function PageHead({ exchange, end, side, ends, onChoose }: Props) {
  const project = useStateOf((s) => s.project.project)!;
  const { project: address = '' } = useParams();
  const wrong = useWrongCells('end');
  const commit = useEdits();
  const station = project.get('station', end.station);
  const profile = station?.profile ? project.get('profile', station.profile) : undefined;
  const ports = childrenOf(project, 'port', end.station);
  const port = ports.find((p) => p.id === end.port);
  const network = port?.network ? project.get('network', port.network) : undefined;
  const protocol = protocolAt(exchange, end);
  // What may be left out shows once something is known or typed of it.
  const told = toldFields(project, exchange, end).filter((t) => !t.optional || t.told !== '' || t.truth !== null);
  const is = (...path: string[]) => wrong(end.id, ...path);
  const name = station?.name ?? '';
  const word = end.calling && profile?.words[end.calling]?.word;
  const partner = station ? partnerWords(station) : '';
  // On the line that has room for it.
  const connections = station && exchange.kind !== 'service link' ? connectionsUsed(project, station) : [];
  const used = connections.length > 0 && <Quiet>{connections.join(', ')}</Quiet>;
  const put = (label: string, path: string[], value: unknown) =>
    commit(`${name}: ${label}`, [{ changes: [set('end', end, path, value)], problem: null }]);
  return (
    <Head $right={side === 'right'} aria-label={`${name}, ${side} page`}>
      <Line>
        <h2 dir="auto">
          {ends.length > 2 ? (
            <InlineSelect
              label={`Station of the ${side} page`}
              value={end.id}
              options={ends.map((e) => ({ value: e.id, text: project.get('station', e.station)?.name ?? e.id }))}
              onChoose={onChoose}
            />
          ) : (
            name
          )}
        </h2>
        <span>{network?.name ?? 'no network'}</span>
        <InlineSelect
          label={`Port of ${name}`}
          value={end.port ?? ''}
          options={[
            { value: '', text: 'no port chosen' },
            ...ports.map((p) => ({ value: p.id, text: p.address || `${p.name}, no address` })),
          ]}
          onChoose={(value) => put('port', ['port'], value || null)}
        />
        <InlineSelect
          id={`end:${end.id}:calling`}
          label={`Whether ${name} calls or listens`}
          value={end.calling ?? ''}
          differs={is('calling')}
          options={[
            ...(end.calling === null ? [{ value: '', text: 'calls or listens?' }] : []),
            { value: 'calls', text: 'calls' },
            {
              value: 'listens',
              text:
                port && protocol.tcpPort
                  ? `listens on ${port.listens[protocol.id]?.tcpPort ?? protocol.tcpPort}`
                  : 'listens',
            },
          ]}
          onChoose={(value) => put('calling', ['calling'], value || null)}
        />
        {exchange.via && (
          <InlineSelect
            label={`Protocol on the side of ${name}`}
            value={end.protocol ?? ''}
            options={[
              { value: '', text: protocolOf(exchange).name },
              ...protocolsFor(exchange.kind)
                .filter((p) => p.id !== exchange.protocol)
                .map((p) => ({ value: p.id, text: p.name })),
            ]}
            onChoose={(value) => put('protocol of its side', ['protocol'], value || null)}
          />
        )}
        {word && <Quiet>device term: {word}</Quiet>}
        {told.length > 0 && used}
        {partner && <Quiet>{partner}</Quiet>}
        <InlineSelect
          label={`Swap of everything at ${name}`}
          value={end.swap}
          options={SWAPS.map((swap) => ({ value: swap, text: SWAP_WORDS[swap] }))}
          onChoose={(value) => put('swap', ['swap'], value)}
        />
      </Line>
      <Line>
        {told.length === 0 && (
          <Quiet>
            {end.calling === 'listens'
              ? 'nothing is entered for its callers at an answering end'
              : 'nothing to enter yet'}
          </Quiet>
        )}
        {told.length === 0 && used}
        {told.map((value, i) => (
          <span key={`${value.other.id} ${value.field}`}>
            {value.other !== told[i - 1]?.other && (
              <>
                {i === 0 ? 'entered for' : 'and for'}{' '}
                <Link
                  to={askPath(address, { from: end.station, to: value.station, traffic: trafficOf(exchange) })}
                  title="the way there, hop by hop"
                >
                  {project.get('station', value.station)?.name ?? ''}
                </Link>
                {': '}
              </>
            )}
            {FIELD_WORDS[value.field]}{' '}
            <InlineInput
              id={cellText({ kind: 'end', id: end.id, path: ['told', value.other.id, value.field] })}
              label={`${capital(TOLD_WORDS[value.field])} entered at ${name}`}
              value={value.isDefault ? '' : value.told}
              placeholder={value.isDefault ? value.told : value.optional ? 'left out' : 'not set'}
              differs={is('told', value.other.id, value.field)}
              onCommit={(text) =>
                commit(`${name}: ${TOLD_WORDS[value.field]} entered`, [
                  editTold(end, value.other.id, value.field, text),
                ])
              }
            />
            {value.isDefault && <Quiet> default</Quiet>}
            {value.former && <Quiet> its former address; now {value.truth}</Quiet>}
            {value.belongsTo && (
              <Quiet>
                {' '}
                that is {value.belongsTo}; it is at {value.truth}
              </Quiet>
            )}
          </span>
        ))}
      </Line>
    </Head>
  );
});
