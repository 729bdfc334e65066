import { editField, EXCHANGE } from '@dialoga/core/fields';
import { childrenOf, type Exchange } from '@dialoga/core/model';
import { FieldInput } from '../../entities/field-input';
import { typingNow } from '../../entities/use-shown';
import { cellText } from '../../findings/cell-text';
import { laneName } from '@dialoga/core/lane';
import { linePassOf } from '@dialoga/core/time';
import { useWrongCells } from '../../findings/use-wrong-cells';
import { Facts } from './facts';
import { InlineSelect } from '../../forms/inline-select';
import { useEdits } from '../../store/use-edits';
import { useStateOf } from '../../store/store';

/** Rhythm, waiting times, and what is decided for the time when the link is gone and for its return. */
export function TimesSection({ exchange }: { exchange: Exchange }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const wrong = useWrongCells('exchange');
  const pass = linePassOf(project, exchange);
  const fact = (field: keyof typeof EXCHANGE.fields, empty: string, choice = false) => (
    <div>
      <dt>{EXCHANGE.fields[field].title}</dt>
      <dd>
        <FieldInput
          of={EXCHANGE}
          row={exchange}
          field={field}
          empty={empty}
          choice={choice}
          step={`${exchange.name}: ${EXCHANGE.fields[field].title}`}
        />
      </dd>
    </div>
  );
  return (
    <Facts>
      {fact('cadence', 'on request')}
      {fact('responseDelay', 'not set')}
      {fact('timeout', 'not set')}
      {fact('keepAlive', 'not used')}
      {fact('inactivity', 'never')}
      {pass && (
        <div>
          <dt>Poll cycle</dt>
          <dd>
            {pass.requests.length} requests, {pass.total.toFixed(0)} ms at {pass.settings}
          </dd>
        </div>
      )}
      {fact('sinks', 'not decided', true)}
      {fact('source', 'not decided', true)}
      {fact('back', 'not decided', true)}
      {fact('notRepeated', 'not set')}
      <div>
        <dt>Heartbeat or status</dt>
        <dd>
          <InlineSelect
            id={cellText({ kind: 'exchange', id: exchange.id, path: ['watchedBy'] })}
            label="Heartbeat or status"
            value={exchange.watchedBy ?? ''}
            options={[
              { value: '', text: 'no heartbeat, no status' },
              ...childrenOf(project, 'lane', exchange.id).map((l) => ({ value: l.id, text: laneName(project, l) })),
            ]}
            differs={wrong(exchange.id, 'watchedBy')}
            onChoose={(text) =>
              commit(`${exchange.name}: heartbeat or status`, [
                editField(EXCHANGE, 'watchedBy', exchange, text, typingNow(project)),
              ])
            }
          />
        </dd>
      </div>
    </Facts>
  );
}
