import type { MovePlan } from '@dialoga/core/hardware';
import type { Rack } from '@dialoga/core/model';
import { slotName } from '@dialoga/core/rack';
import { useState } from 'react';
import { Choice } from '../forms/choice';
import { AskDialog } from '../forms/ask-dialog';
import { Code } from '../theme/parts';

interface Props {
  title: string;
  rack: Rack;
  plan: MovePlan;
  /** true: what is bound moves with its module */
  onTake: (along: boolean) => void;
  onClose: () => void;
}

/** What an insertion or a move changes, before it is done: what is bound to the ranges that move comes first. */
export function MoveDialog({ title, rack, plan, onTake, onClose }: Props) {
  const [along, setAlong] = useState(true);
  const { moves, ranges, bound } = plan;
  return (
    <AskDialog
      title={title}
      take="Move module"
      ready
      onTake={() => onTake(along)}
      onClose={onClose}
      outcome={
        <>
          <h3>Slots</h3>
          <table>
            <tbody>
              {moves.map(({ module, from, to }) => (
                <tr key={module.id}>
                  <td>{module.name || module.kind}</td>
                  <td>
                    {from === null ? 'new in' : `slot ${slotName(rack, from)} to`} slot {slotName(rack, to)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {ranges.length > 0 && <h3>Addresses that follow the slots</h3>}
          <table>
            <tbody>
              {ranges.map((range) => (
                <tr key={`${range.landing.id} ${range.field}`}>
                  <td>{moves.find((m) => m.module.id === range.landing.module)?.module.name ?? 'another module'}</td>
                  <td>
                    <Code>{range.before || 'new'}</Code> to <Code>{range.after}</Code>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      }
    >
      {bound.length === 0 ? (
        <p>{ranges.length > 0 ? 'Nothing is bound to the ranges that move.' : 'No address moves.'}</p>
      ) : (
        <>
          <p>Bound to the ranges that move:</p>
          <ul>
            {bound.map((b) => (
              <li key={b.id}>
                {b.of === 'tag' ? `tag ${b.name}` : b.name || 'a lane'} of {b.where} at <Code>{b.before}</Code>; there{' '}
                {b.writer ? `${b.writer} writes afterwards` : 'nobody writes afterwards'}, and its data is at{' '}
                <Code>{b.after}</Code>
              </li>
            ))}
          </ul>
          <Choice
            label="These"
            value={along ? 'along' : 'stay'}
            options={[
              { value: 'along', text: 'move along with their module' },
              { value: 'stay', text: 'stay at their address' },
            ]}
            onChoose={(chosen) => setAlong(chosen === 'along')}
          />
        </>
      )}
    </AskDialog>
  );
}
