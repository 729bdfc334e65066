import { ROUTE, routeFromLine } from '@dialoga/core/fields';
import { inOrder } from '@dialoga/core/model';
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
          const line = routeFromLine(now, text, newId);
          if ('problem' in line) return { edits: [{ changes: [], problem: line.problem }] };
          const { id, name, changes, unread } = line;
          const edits = [{ changes, problem: unread.length > 0 ? unread.join('; ') : null }];
          return { label: `New route ${name}`, edits, made: (after) => after.get('route', id) };
        },
      }}
    />
  );
}
