import { addZone, editRack, type RackColumn } from '@dialoga/core/fields';
import type { Rack } from '@dialoga/core/model';
import styled from 'styled-components';
import { InlineInput } from '../forms/inline-input';
import { useWrongCells } from '../findings/use-wrong-cells';
import { drop } from '../store/dropping';
import { newId } from '../api/new-id';
import { useAppDispatch } from '../store/store';
import { SectionHead, TextButton } from '../theme/parts';
import { space } from '../theme/tokens';
import { useEdits } from '../store/use-edits';

const Facts = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: ${space[2]}px;
  align-items: baseline;
`;

/** What is set for a rack as a whole, in a sentence to type into. */
export function RackHead({ rack }: { rack: Rack }) {
  const commit = useEdits();
  const dispatch = useAppDispatch();
  const wrong = useWrongCells('rack');
  const field = (column: RackColumn, label: string, value: string, placeholder?: string) => (
    <InlineInput
      label={`${rack.name || 'Rack'}, ${label}`}
      value={value}
      {...(placeholder ? { placeholder } : {})}
      differs={wrong(rack.id, column)}
      onCommit={(text) => commit('Edit rack', [editRack(rack, column, text)])}
    />
  );
  return (
    <>
      <SectionHead>
        <h2>{rack.name || 'Rack'}</h2>
        <p>Alt+arrow moves a module, Alt+Insert puts one before it</p>
        {Object.keys(rack.zones).length === 0 && (
          <TextButton
            style={{ marginLeft: 'auto' }}
            onPress={() => commit('New zone', [addZone(rack, newId(), 'first zone')])}
          >
            Divide it into zones
          </TextButton>
        )}
        <TextButton onPress={() => dispatch(drop('Delete rack', 'rack', rack.id))}>Delete rack</TextButton>
      </SectionHead>
      <Facts>
        {field('size', 'slots', String(rack.size))} slots, numbered from{' '}
        {field('first', 'first slot', String(rack.first))}; gaps allowed:{' '}
        {field('gaps', 'gaps allowed', rack.gaps ? 'yes' : 'no')}; addresses follow the slots:{' '}
        {field('addressesFollow', 'addresses follow', rack.addressesFollow ? 'yes' : 'no')}; slots found:{' '}
        {field('found', 'slots found', typeof rack.found === 'number' ? String(rack.found) : '', 'not recorded')}; its
        base takes: {field('takes', 'order codes it takes', rack.takes.join(', '), 'any order code')}
      </Facts>
    </>
  );
}
