import { put } from '@dialoga/core/change';
import { editHelper } from '@dialoga/core/fields';
import { childrenOf, orderAfter, PRESENCES, type HelperObject, type Route } from '@dialoga/core/model';
import { wantedHelpers } from '@dialoga/core/route';
import { useMemo } from 'react';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import { useWrongCells } from '../findings/use-wrong-cells';
import type { GridColumn, GridRow } from '../grid/types';
import { SmallGrid } from '../grid/small-grid';
import { useTableOf } from '../grid/use-table';
import { useEdits } from '../store/use-edits';
import { drop } from '../store/dropping';
import { newId } from '../api/new-id';
import { useAppDispatch, useStateOf } from '../store/store';
import { HelperNotes } from './helper-notes';
import { BoxButton, Section, SectionHead } from '../theme/parts';

const FIELDS = [null, null, 'drawnAs', 'address', 'presence', 'brings', 'comment'] as const;
const SHOWN: Shown = { kind: 'helper', fields: FIELDS };
const COLUMNS: readonly GridColumn[] = [
  { id: 'station', title: 'In the project of', names: true, track: 'minmax(110px, 0.9fr)' },
  { id: 'stands', title: 'Stands for', names: true, track: 'minmax(100px, 0.9fr)' },
  { id: 'drawn', title: 'Drawn as', track: '90px' },
  { id: 'address', title: 'Address', track: '90px' },
  { id: 'presence', title: 'It is', track: '86px' },
  { id: 'brings', title: 'Brings along', names: true, track: 'minmax(140px, 1.3fr)' },
  { id: 'comment', title: 'Comment', names: true, track: 'minmax(180px, 1.6fr)' },
];

/** What has to be drawn into the far station's own project for a route, and is taken out of it again. */
export function HelpersGrid({ route }: { route: Route }) {
  const project = useStateOf((s) => s.project.project)!;
  const tableOf = useTableOf();
  const commit = useEdits();
  const dispatch = useAppDispatch();
  const wrong = useWrongCells('helper');
  const link = useGridLink(SHOWN);
  const helpers = childrenOf(project, 'helper', route.id);
  const wanted = useMemo(() => wantedHelpers(project, route), [project, route]);
  const missing = wanted.filter(({ known }) => !known);
  const name = (id: string) => project.get('station', id)?.name ?? '';
  if (helpers.length === 0 && missing.length === 0) return null;
  const rowFor = (helper: HelperObject): GridRow => ({
    id: helper.id,
    height: 26,
    cells: [
      { text: name(helper.station) },
      { text: name(helper.standsFor) },
      { text: helper.drawnAs, editable: true },
      { text: helper.address, editable: true, mono: true, differs: wrong(helper.id, 'address') },
      { text: helper.presence, editable: true, options: PRESENCES, differs: wrong(helper.id, 'presence') },
      { text: helper.brings ?? '', editable: true },
      { text: helper.comment ?? '', editable: true },
    ],
  });
  const table = tableOf({
    ...{ label: 'Edit helper objects', columns: COLUMNS, rows: helpers.map(rowFor) },
    edit(now, row, column, text) {
      const [helper, field] = [now.get('helper', row), FIELDS[column]];
      return helper && field ? [editHelper(helper, field, text)] : [];
    },
  });
  return (
    <Section aria-label="Temporary placeholder stations">
      <SectionHead>
        <h2>Temporary placeholder stations</h2>
        <p>planned, then found there, then removed when the work is done</p>
      </SectionHead>
      {missing.map(({ station, standsFor, drawnAs, address }) => (
        <p key={standsFor}>
          {name(standsFor)} has to be drawn into the project of {name(station)}, as a {drawnAs} at {address}.{' '}
          <BoxButton
            onPress={() => {
              const helper: HelperObject = {
                ...{ id: newId(), order: orderAfter(helpers), station, standsFor, route: route.id, drawnAs, address },
                presence: 'planned',
              };
              commit('Plan a helper object', [{ changes: [put('helper', helper)], problem: null }]);
            }}
          >
            Plan it
          </BoxButton>
        </p>
      ))}
      {helpers.length > 0 && (
        <SmallGrid
          label="Helper objects"
          {...table}
          link={link}
          onDrop={(id) => dispatch(drop('Delete helper object', 'helper', id))}
        />
      )}
      {wanted.map((one) => (
        <HelperNotes key={one.standsFor} route={route} wanted={one} />
      ))}
    </Section>
  );
}
