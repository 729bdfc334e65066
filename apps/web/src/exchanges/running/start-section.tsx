import { addStep, dropStep, entriesOf, STEP } from '@dialoga/core/fields';
import type { Exchange } from '@dialoga/core/model';
import { EntityGrid } from '../../entities/entity-grid';
import { missingSteps, proposeStart, stepWords } from '@dialoga/core/exchange';
import { useEdits } from '../../store/use-edits';
import { newId } from '../../api/new-id';
import { useStateOf } from '../../store/store';
import { SectionHead, TextButton } from '../../theme/parts';

/** What the programs set and see, in order, until the exchange runs; proposed from the reserved blocks of the stations. */
export function StartSection({ exchange }: { exchange: Exchange }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const missing = missingSteps(project, exchange);
  return (
    <>
      <SectionHead>
        <h2>Start sequence</h2>
        <p>
          {missing.length > 0
            ? `not in it yet: ${missing.map(stepWords).join('; ')}`
            : 'who listens first, then who calls'}
        </p>
        {missing.length > 0 && (
          <TextButton
            onPress={() =>
              commit(`${exchange.name}: start sequence`, [{ changes: proposeStart(project, exchange), problem: null }])
            }
          >
            Add them
          </TextButton>
        )}
      </SectionHead>
      <EntityGrid
        label="Start sequence"
        of={STEP}
        rows={entriesOf<'exchange', NonNullable<Exchange['start']>[string]>(exchange, ['start'])}
        step={`${exchange.name}: start sequence`}
        onDrop={({ key }) => commit(`${exchange.name}: one step less`, [dropStep(exchange, key)])}
        add={{
          hint: 'new step',
          by: 'does',
          begin(now, text) {
            const [known, path] = [now.get('exchange', exchange.id), ['start', newId()]];
            return {
              edits: known ? [addStep(known, path[1]!, text)] : [],
              made: (after) => STEP.find(after, { kind: 'exchange', id: exchange.id, path }),
            };
          },
        }}
      />
    </>
  );
}
