import { put } from '@dialoga/core/change';
import { readPair, ROUTE } from '@dialoga/core/fields';
import { inOrder, orderAfter, type Route } from '@dialoga/core/model';
import type { Ways } from '@dialoga/core/route';
import { useNavigate, useParams } from 'react-router';
import { newId } from '../api/new-id';
import { EntityGrid } from '../entities/entity-grid';
import { useStateOf } from '../store/store';

const COLUMNS = ['from', 'to', 'port', 'traffic', 'way', 'stated', 'comment'] as const;

/** `ways`: null while they are looked for. */
export function RoutesGrid({ ways }: { ways: Ways | null }) {
  const { project: address = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const navigate = useNavigate();
  return (
    <EntityGrid
      label="Routes"
      of={ROUTE}
      rows={inOrder(project, 'route')}
      columns={COLUMNS}
      step="Edit routes"
      look={({ id }, field) => {
        if (field !== 'way') return undefined;
        const { text, none } = ways?.routes[id] ?? { text: 'looked for …', none: false };
        const run = () => void navigate(`/p/${address}/routes/${id}`);
        return { text, muted: !none, differs: none, action: { label: `${text}: open it hop by hop`, run } };
      }}
      add={{
        hint: 'new route, as A → B',
        by: 'from',
        begin(now, text) {
          const pair = readPair(now, text);
          if ('changes' in pair) return { edits: [pair] };
          const order = orderAfter(inOrder(now, 'route'));
          const route: Route = {
            id: newId(),
            order,
            from: pair.from.id,
            to: pair.to.id,
            port: null,
            traffic: 'requests',
            stated: '',
          };
          const label = `New route ${pair.from.name} → ${pair.to.name}`;
          const edits = [{ changes: [put('route', route)], problem: null }];
          return { label, edits, made: (after) => after.get('route', route.id) };
        },
      }}
    />
  );
}
