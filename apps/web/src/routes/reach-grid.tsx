import { put } from '@dialoga/core/change';
import { EXPECTATION, readPair } from '@dialoga/core/fields';
import { inOrder, orderAfter, type Expectation } from '@dialoga/core/model';
import type { Ways } from '@dialoga/core/route';
import { newId } from '../api/new-id';
import { EntityGrid } from '../entities/entity-grid';
import { useStateOf } from '../store/store';

/** What is kept apart, and what has to get through. `ways`: null while they are looked for. */
export function ReachGrid({ ways }: { ways: Ways | null }) {
  const project = useStateOf((s) => s.project.project)!;
  return (
    <EntityGrid
      label="Required and forbidden access"
      of={EXPECTATION}
      rows={inOrder(project, 'expectation')}
      step="Edit expectations"
      look={({ id }, field) => {
        const found = ways?.reach[id] ?? null;
        if (field === 'holds') {
          return { text: found === null ? '…' : found.holds ? 'yes' : 'no', differs: found?.holds === false };
        }
        if (field === 'why') return { text: found?.why ?? 'looked for …' };
        return field === 'back' ? { text: found?.back ?? '' } : undefined;
      }}
      add={{
        hint: 'new, as A → B',
        by: 'from',
        begin(now, text) {
          const pair = readPair(now, text);
          if ('changes' in pair) return { edits: [pair] };
          const expected: Expectation = {
            id: newId(),
            order: orderAfter(inOrder(now, 'expectation')),
            from: pair.from.id,
            to: pair.to.id,
            traffic: 'requests',
            must: 'must not reach',
          };
          const edits = [{ changes: [put('expectation', expected)], problem: null }];
          return { label: 'New expectation', edits, made: (after) => after.get('expectation', expected.id) };
        },
      }}
    />
  );
}
