import { addZone, RACK } from '@dialoga/core/fields';
import { FieldInput } from '../entities/field-input';
import type { Rack } from '@dialoga/core/model';
import styled from 'styled-components';
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
  const field = (column: keyof typeof RACK.fields, empty?: string) => (
    <FieldInput
      of={RACK}
      row={rack}
      field={column}
      label={`${rack.name || 'Rack'}, ${RACK.fields[column].title}`}
      {...(empty ? { empty } : {})}
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
        {field('size')} slots, numbered from {field('first')}; gaps allowed: {field('gaps')}; addresses follow the
        slots: {field('addressesFollow')}; slots found: {field('found', 'not recorded')}; its base takes:{' '}
        {field('takes', 'any order code')}
      </Facts>
    </>
  );
}
