import { put } from '@dialoga/core/change';
import { editRoute, type RouteColumn, readPair } from '@dialoga/core/fields';
import { inOrder, orderAfter, TRAFFICS, type Project, type Route } from '@dialoga/core/model';
import { portsOf, type Ways } from '@dialoga/core/route';
import { useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { useWrongCells } from '../findings/use-wrong-cells';
import { newRow } from '../grid/new-row';
import type { GridColumn, GridRow } from '../grid/types';
import { SmallGrid } from '../grid/small-grid';
import { useTable } from '../grid/use-table';
import { drop } from '../store/dropping';
import { newId } from '../api/new-id';
import { useAppDispatch, useStateOf } from '../store/store';

const FIELDS = ['from', 'to', 'port', 'traffic', null, 'stated', 'comment'] as const;
const SHOWN: Shown = { kind: 'route', fields: FIELDS };
const COLUMNS: readonly GridColumn[] = [
  { id: 'from', title: 'From', names: true, track: 'minmax(110px, 1fr)' },
  { id: 'to', title: 'To', names: true, track: 'minmax(110px, 1fr)' },
  { id: 'port', title: 'Own port', names: true, track: 'minmax(100px, 0.9fr)' },
  { id: 'traffic', title: 'For', track: '122px' },
  { id: 'way', title: 'Way', names: true, track: 'minmax(180px, 1.8fr)' },
  { id: 'stated', title: 'Text as typed', names: true, track: 'minmax(170px, 1.8fr)' },
  { id: 'comment', title: 'Comment', names: true, track: 'minmax(90px, 1fr)' },
];

/** `ways`: null while they are looked for. */
export function RoutesGrid({ ways }: { ways: Ways | null }) {
  const { project: address = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const wrong = useWrongCells('route');
  const link = useGridLink(SHOWN);
  const routes = inOrder(project, 'route');
  const stations = useMemo(() => inOrder(project, 'station').map((s) => s.name), [project]);
  const rowFor = (route: Route): GridRow => {
    const way = ways?.routes[route.id] ?? { text: 'looked for …', none: false };
    const from = project.get('station', route.from);
    const permitted = Object.values(route.built?.permitted ?? {}).length;
    const built = permitted === 1 ? '1 text, built at run time' : `${permitted} texts, built at run time`;
    return {
      id: route.id,
      height: 26,
      cells: [
        { text: from?.name ?? '', editable: true, options: stations },
        { text: project.get('station', route.to)?.name ?? '', editable: true, options: stations },
        {
          ...{ text: portText(project, route), editable: true, differs: wrong(route.id, 'port') },
          options: ['any', ...(from ? portsOf(project, from).map((p) => p.name) : [])],
        },
        { text: route.traffic, editable: true, options: TRAFFICS },
        {
          ...{ text: way.text, muted: !way.none, differs: way.none },
          action: {
            label: `${way.text}: open it hop by hop`,
            run: () => void navigate(`/p/${address}/routes/${route.id}`),
          },
        },
        {
          ...{ text: route.stated, editable: true, mono: true, differs: wrong(route.id, 'stated') },
          ...(route.stated === '' && route.built ? { show: built } : {}),
        },
        { text: route.comment ?? '', editable: true },
      ],
    };
  };
  const table = useTable({
    ...{ label: 'Edit routes', columns: COLUMNS },
    rows: [...routes.map(rowFor), newRow(COLUMNS.length, 0, 'new route, as A → B')],
    begin(now, _, column, text) {
      if (column !== 0) return null;
      const pair = readPair(now, text);
      if ('changes' in pair) return { row: '', edits: [pair] };
      const route: Route = {
        ...{ id: newId(), order: orderAfter(inOrder(now, 'route')), from: pair.from.id, to: pair.to.id, port: null },
        ...{ traffic: 'requests', stated: '' },
      };
      const label = `New route ${pair.from.name} → ${pair.to.name}`;
      return { row: route.id, label, edits: [{ changes: [put('route', route)], problem: null }] };
    },
    edit(now, row, column, text) {
      const [route, field] = [now.get('route', row), FIELDS[column]];
      return route && field ? [editRoute(now, route, field satisfies RouteColumn, text)] : [];
    },
  });
  return (
    <SmallGrid label="Routes" {...table} link={link} onDrop={(id) => dispatch(drop('Delete route', 'route', id))} />
  );
}

function portText(project: Project, { port }: Route): string {
  const chosen = port ? project.get('port', port) : undefined;
  return chosen ? chosen.name || chosen.address : 'any';
}
