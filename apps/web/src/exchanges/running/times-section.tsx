import { editExchange, type ExchangeField } from '@dialoga/core/fields';
import { laneName } from '@dialoga/core/lane';
import { childrenOf, ON_RETURN, SINKS_ON_LOSS, SOURCE_ON_LOSS, type Exchange } from '@dialoga/core/model';
import { linePassOf } from '@dialoga/core/time';
import { useWrongCells } from '../../findings/use-wrong-cells';
import { Facts } from './facts';
import { InlineInput } from '../../forms/inline-input';
import { InlineSelect } from '../../forms/inline-select';
import { useEdits } from '../../store/use-edits';
import { useStateOf } from '../../store/store';

const orUndecided = (words: readonly string[]) => [
  { value: '', text: 'not decided' },
  ...words.map((word) => ({ value: word, text: word })),
];

/** Rhythm, waiting times, and what is decided for the time when the link is gone and for its return. */
export function TimesSection({ exchange }: { exchange: Exchange }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const wrong = useWrongCells('exchange');
  const pass = linePassOf(project, exchange);
  const put = (field: ExchangeField) => (text: string) =>
    commit(`${exchange.name}: ${field}`, [editExchange(exchange, field, text)]);
  const time = (label: string, field: ExchangeField & keyof Exchange, empty: string) => (
    <div>
      <dt>{label}</dt>
      <dd>
        <InlineInput
          id={`exchange:${exchange.id}:${field}`}
          label={label}
          value={exchange[field] ? `${String(exchange[field])} ms` : ''}
          placeholder={empty}
          differs={wrong(exchange.id, field)}
          onCommit={put(field)}
        />
      </dd>
    </div>
  );
  const choice = (label: string, field: 'sinks' | 'source' | 'back', words: readonly string[]) => (
    <div>
      <dt>{label}</dt>
      <dd>
        <InlineSelect
          id={`exchange:${exchange.id}:onLoss:${field}`}
          label={label}
          value={exchange.onLoss?.[field] ?? ''}
          options={orUndecided(words)}
          differs={wrong(exchange.id, 'onLoss', field)}
          onChoose={put(field)}
        />
      </dd>
    </div>
  );
  return (
    <Facts>
      {time('Cadence', 'cadence', 'on request')}
      {time('Response delay', 'responseDelay', 'not set')}
      {time('Timeout', 'timeout', 'not set')}
      {time('Keep-alive', 'keepAlive', 'not used')}
      {time('Closed when quiet for', 'inactivity', 'never')}
      {pass && (
        <div>
          <dt>A pass over the line</dt>
          <dd>
            {pass.requests.length} requests, {pass.total.toFixed(0)} ms at {pass.settings}
          </dd>
        </div>
      )}
      {choice('On a lost link the sinks', 'sinks', SINKS_ON_LOSS)}
      {choice('The source’s program', 'source', SOURCE_ON_LOSS)}
      {choice('When it is back, outputs', 'back', ON_RETURN)}
      <div>
        <dt>Not sent again</dt>
        <dd>
          <InlineInput
            label="Not sent again"
            value={exchange.onLoss?.notRepeated ?? ''}
            placeholder="not set"
            mono={false}
            onCommit={put('notRepeated')}
          />
        </dd>
      </div>
      <div>
        <dt>Heartbeat or status</dt>
        <dd>
          <InlineSelect
            id={`exchange:${exchange.id}:watchedBy`}
            label="Heartbeat or status"
            value={exchange.watchedBy ?? ''}
            options={[
              { value: '', text: 'no heartbeat, no status' },
              ...childrenOf(project, 'lane', exchange.id).map((l) => ({ value: l.id, text: laneName(project, l) })),
            ]}
            differs={wrong(exchange.id, 'watchedBy')}
            onChoose={put('watchedBy')}
          />
        </dd>
      </div>
    </Facts>
  );
}
