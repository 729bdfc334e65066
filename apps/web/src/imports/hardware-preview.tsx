import { planList, type ListPlan } from '@dialoga/core/hardware';
import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { newId } from '../api/new-id';
import { Grid } from '../grid/grid';
import type { GridColumn, GridRow } from '../grid/types';
import { edit } from '../store/editing';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import type { ReadList } from './list-import';
import { PreviewHead } from './preview-head';

const COLUMNS: readonly GridColumn[] = [
  { id: 'line', title: 'Row', track: '48px', right: true },
  { id: 'what', title: 'Action', track: '96px' },
  { id: 'station', title: 'Station', names: true, track: 'minmax(96px, 1fr)' },
  { id: 'slot', title: 'Slot', track: '48px', right: true },
  { id: 'code', title: 'Order code', track: '110px' },
  { id: 'name', title: 'Module', names: true, track: 'minmax(150px, 1.5fr)' },
  { id: 'kind', title: 'Kind', track: '130px' },
  { id: 'why', title: 'Difference or reason', track: 'minmax(220px, 2.4fr)' },
];

/** What would become of the modules of a plant, compared with the plan; taken in as one step. */
export function HardwarePreview({ list: { rows, name } }: { list: ReadList<'hardware'> }) {
  const { project: projectId = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [leaveOut, setLeaveOut] = useState(false);
  const plan = useMemo(() => planList(project, rows, name, newId), [project, rows, name]);
  const held = plan.faults.length > 0 && !leaveOut;
  function take() {
    if (dispatch(edit(`Hardware list: ${summary(plan)}`, plan.changes)) !== null) return;
    dispatch(projectSlice.actions.noticed(`Imported: ${summary(plan)}. One undo takes it back.`));
    void navigate(`/p/${projectId}/stations`);
  }
  const label = `leave out the ${plan.faults.length} rows that cannot be taken`;
  return (
    <>
      <PreviewHead
        words={summary(plan)}
        notes={plan.aside.length > 0 && `${plan.aside.length} rows are no modules and are set aside`}
        option={plan.faults.length > 0 ? { label, checked: leaveOut, onChange: () => setLeaveOut(!leaveOut) } : null}
        onTake={held || plan.changes.length === 0 ? null : take}
      />
      <Grid label="What becomes of each row" main columns={COLUMNS} rows={rowsOf(plan)} onEdit={() => undefined} />
    </>
  );
}

function summary(plan: ListPlan): string {
  const count = (what: string) => plan.modules.filter((m) => m.what === what).length;
  const parts = [
    `${count('added')} added`,
    `${count('changed')} changed`,
    `${count('unchanged')} unchanged`,
    plan.stations.length > 0
      ? `${plan.stations.length} new ${plan.stations.length === 1 ? 'station' : 'stations'}`
      : '',
    plan.dropped.length > 0 ? `${plan.dropped.length} planned and not listed` : '',
    plan.faults.length > 0 ? `${plan.faults.length} cannot be taken` : '',
  ];
  return parts.filter((part) => part !== '').join(', ');
}

/** Faults first, then what changes, then what is set aside. */
function rowsOf(plan: ListPlan): GridRow[] {
  const line = (id: string, texts: readonly string[], differs = false): GridRow => ({
    id,
    height: 22,
    cells: texts.map((text, i) => ({
      text,
      right: i === 0 || i === 3,
      mono: i === 4,
      differs: differs && i === texts.length - 1,
      muted: texts[1] === 'set aside' || texts[1] === 'unchanged',
    })),
  });
  const fresh = new Set(plan.stations.map(({ name }) => name));
  const isFresh = (name: string) => fresh.has(name);
  const slot = (at: number | null) => (at === null ? '' : String(at));
  return [
    ...plan.faults.map(({ row, sentence }, i) =>
      line(
        `fault${i}`,
        [String(row.line), 'not taken', row.station, slot(row.slot), row.orderCode, row.description, '', sentence],
        true,
      ),
    ),
    ...plan.modules.map(({ row, what, station, module, differs }, i) =>
      line(
        `module${i}`,
        [
          ...[String(row.line), what, station, slot(module.slot), row.orderCode, module.name, module.kind],
          [...(isFresh(station) ? [`${station} is a new station`] : []), ...differs].join('; '),
        ],
        differs.some((words) => words.startsWith('planned')),
      ),
    ),
    ...plan.dropped.map(({ module, station }, i) =>
      line(`dropped${i}`, [
        ...['', 'not listed', station, slot(module.slot), module.orderCode, module.name, module.kind],
        'planned, and not in the list; it stays',
      ]),
    ),
    ...plan.aside.map((row, i) =>
      line(`aside${i}`, [
        ...[String(row.line), 'set aside', row.station, '', row.orderCode, row.description, ''],
        row.aside ?? '',
      ]),
    ),
  ];
}
