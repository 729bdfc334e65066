import { planSurvey, type SurveyPlan } from '@dialoga/core/survey';
import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { currentAuthor } from '../api/author';
import { newId } from '../api/new-id';
import { Grid } from '../grid/grid';
import type { GridColumn, GridRow } from '../grid/types';
import { ListImport, type ReadList } from '../imports/list-import';
import { PreviewHead } from '../imports/preview-head';
import { edit } from '../store/editing';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';

const COLUMNS: readonly GridColumn[] = [
  { id: 'line', title: 'Row', track: '48px', right: true },
  { id: 'what', title: 'Action', track: '90px' },
  { id: 'name', title: 'Device name', names: true, track: 'minmax(120px, 1fr)' },
  { id: 'address', title: 'Address', track: '120px' },
  { id: 'hardware', title: 'Hardware address', track: '140px' },
  { id: 'type', title: 'Type', names: true, track: 'minmax(130px, 1fr)' },
  { id: 'revision', title: 'Revision', track: '70px' },
  { id: 'note', title: 'Remark or reason', track: 'minmax(220px, 2fr)' },
];

/** Devices that were found: a file, rows of a spreadsheet, or what a command printed. */
export const FoundListPage = () => (
  <ListImport
    kind="found"
    title="Found devices"
    about="CSV or XLSX, rows of a spreadsheet, or what a command printed of its neighbours; the plan stays as it is"
    placeholder="Name, address, hardware address, order code, revision: in any order, with a row of headings; or 10.48.10.11 dev eth0 lladdr 02:00:5e:10:00:0b REACHABLE"
    empty="Columns are found by their headings, in any order. Each device is then laid beside the plan, and what differs is decided."
  >
    {(list) => <FoundPreview list={list} />}
  </ListImport>
);

/** What the list would add to the survey; taken in as one step. */
function FoundPreview({ list: { rows, name } }: { list: ReadList<'found'> }) {
  const { project: projectId = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [at] = useState(() => new Date().toISOString());
  const plan = useMemo(
    () => planSurvey(project, rows, { by: currentAuthor(), at, how: name }, newId),
    [project, rows, name, at],
  );
  function take() {
    if (dispatch(edit(`Found devices: ${summary(plan)}`, plan.changes)) !== null) return;
    dispatch(projectSlice.actions.noticed(`Imported: ${summary(plan)}. One undo takes it back.`));
    void navigate(`/p/${projectId}/site`);
  }
  return (
    <>
      <PreviewHead
        words={summary(plan)}
        notes={plan.doubt}
        option={null}
        onTake={plan.changes.length === 0 ? null : take}
      />
      <Grid label="What becomes of each row" main columns={COLUMNS} rows={rowsOf(plan)} onEdit={() => undefined} />
    </>
  );
}

function summary({ rows }: SurveyPlan): string {
  const count = (what: string) => rows.filter((row) => row.what === what).length;
  const parts = (['new', 'changed', 'unchanged', 'twice', 'not taken'] as const).flatMap((what) => {
    const n = count(what);
    return n > 0 || what === 'new' ? [`${n} ${what}`] : [];
  });
  return parts.join(', ');
}

const rowsOf = ({ rows }: SurveyPlan): GridRow[] =>
  rows.map(({ row: { line, facts, remark }, what, note }): GridRow => {
    const stands = what === 'unchanged' || what === 'twice';
    const mono = { mono: true, muted: stands };
    return {
      id: `row${line}`,
      height: 22,
      cells: [
        { text: String(line), right: true, muted: stands },
        { text: what, muted: stands },
        { text: facts.deviceName ?? '', muted: stands },
        { text: facts.address ?? '', ...mono },
        { text: facts.hardware ?? '', ...mono },
        { text: facts.type || (facts.orderCode ?? ''), muted: stands },
        { text: facts.revision ?? '', ...mono },
        { text: note || remark, differs: what === 'not taken', muted: stands },
      ],
    };
  });
