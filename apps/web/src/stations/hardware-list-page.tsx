import { readTable } from '@dialoga/core/formats';
import {
  LIST_COLUMNS,
  listRows,
  planList,
  recogniseColumns,
  type ColumnChoice,
  type ListColumn,
  type ListPlan,
} from '@dialoga/core/hardware';
import { unreadSentence } from '@dialoga/core/text';
import { useDeferredValue, useMemo, useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { Grid } from '../grid/grid';
import type { GridColumn, GridRow } from '../grid/types';
import { edit } from '../store/editing';
import { newId } from '../api/new-id';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import { BoxButton, PageTitle, Section, SectionHead, Select } from '../theme/parts';
import { colour, font, size, space } from '../theme/tokens';
import { sheetsOf, type ListSheet } from './list-file';

const Text = styled.textarea`
  width: 100%;
  height: 88px;
  padding: ${space[3]}px;
  border: 1px solid ${colour.edge};
  background: ${colour.sheet};
  color: ${colour.ink};
  font: 400 ${size.data}px / 1.5 ${font.code};
  resize: vertical;
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space[2]}px ${space[4]}px;
  align-items: center;
  padding-top: ${space[2]}px;
  label {
    display: flex;
    gap: ${space[2]}px;
    align-items: center;
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
  select {
    max-width: 84px;
  }
`;

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

/** A hardware list: pasted or brought in, its columns shown and corrected, compared with the plan, taken in as one step. */
export function HardwareListPage() {
  const { project: projectId = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const [sheets, setSheets] = useState<ListSheet[]>([]);
  const [sheet, setSheet] = useState(0);
  const [corrected, setCorrected] = useState<ColumnChoice>({});
  const [leaveOut, setLeaveOut] = useState(false);
  const later = useDeferredValue(text);

  const source = sheets[sheet]?.name ?? 'pasted list';
  const table = useMemo(
    () => sheets[sheet]?.table ?? (later.trim() === '' ? null : readTable(later)),
    [sheets, sheet, later],
  );
  const found = useMemo(() => (table?.ok ? recogniseColumns(table.value) : null), [table]);
  const columns = useMemo(() => ({ ...found?.columns, ...corrected }), [found, corrected]);
  const plan = useMemo(
    () => (table?.ok && found ? planList(project, listRows(table.value, found.heading, columns), source, newId) : null),
    [project, table, found, columns, source],
  );

  function bringIn(files: FileList | null) {
    const file = files?.[0];
    if (!file) return;
    void sheetsOf(file).then((read) => {
      setSheets(read);
      setSheet(0);
      setCorrected({});
    });
  }
  function take() {
    if (!plan || plan.changes.length === 0) return;
    const refusal = dispatch(edit(`Hardware list: ${summary(plan)}`, plan.changes));
    if (refusal !== null) return;
    dispatch(projectSlice.actions.noticed(`Imported: ${summary(plan)}. One undo takes it back.`));
    void navigate(`/p/${projectId}/stations`);
  }
  const held = plan !== null && plan.faults.length > 0 && !leaveOut;
  return (
    <>
      <PageTitle>
        <h1>Hardware list</h1>
        <p>paste rows of a spreadsheet, or bring in CSV or XLSX; nothing is stored before you take it in</p>
      </PageTitle>
      <Section aria-label="The list">
        <Text
          autoFocus
          aria-label="Rows of the list"
          placeholder="Station, slot, quantity, order code, description, revision: in any order, with a row of headings"
          value={sheets.length > 0 ? `${source}` : text}
          readOnly={sheets.length > 0}
          onChange={(event) => setText(event.target.value)}
        />
        <Row>
          <FileTrigger acceptedFileTypes={['.csv', '.tsv', '.txt', '.xlsx']} onSelect={bringIn}>
            <BoxButton>Import file …</BoxButton>
          </FileTrigger>
          {sheets.length > 0 && <BoxButton onPress={() => setSheets([])}>Leave the file</BoxButton>}
          {sheets.length > 1 && (
            <label>
              sheet
              <Select value={sheet} onChange={(event) => setSheet(Number(event.target.value))}>
                {sheets.map((one, i) => (
                  <option key={one.name} value={i}>
                    {one.name}
                  </option>
                ))}
              </Select>
            </label>
          )}
          {found &&
            LIST_COLUMNS.map((column) => (
              <ColumnSelect
                key={column}
                column={column}
                headings={found.headings}
                value={columns[column]}
                onChange={(at) => setCorrected({ ...corrected, [column]: at })}
              />
            ))}
        </Row>
      </Section>
      {table && !table.ok && (
        <Section role="alert">
          <p>{unreadSentence(table)}.</p>
        </Section>
      )}
      {table?.ok && !found && (
        <Section role="alert">
          <p>
            No row of headings was found in the first ten rows: at least two of {LIST_COLUMNS.join(', ')} must be named.
          </p>
        </Section>
      )}
      {plan && (
        <>
          <Section aria-label="Preview">
            <SectionHead>
              <h2>{summary(plan)}</h2>
              <p>{plan.aside.length > 0 && `${plan.aside.length} rows are no modules and are set aside`}</p>
              <span style={{ marginLeft: 'auto' }}>
                <Row>
                  {plan.faults.length > 0 && (
                    <label>
                      <input type="checkbox" checked={leaveOut} onChange={() => setLeaveOut(!leaveOut)} />
                      leave out the {plan.faults.length} rows that cannot be taken
                    </label>
                  )}
                  <BoxButton isDisabled={held || plan.changes.length === 0} onPress={take}>
                    Import
                  </BoxButton>
                </Row>
              </span>
            </SectionHead>
          </Section>
          <Grid label="What becomes of each row" main columns={COLUMNS} rows={rowsOf(plan)} onEdit={() => undefined} />
        </>
      )}
    </>
  );
}

interface ColumnProps {
  column: ListColumn;
  headings: readonly string[];
  value: number | undefined;
  onChange: (at: number | undefined) => void;
}

function ColumnSelect({ column, headings, value, onChange }: ColumnProps) {
  return (
    <label>
      {column}
      <Select
        aria-label={`Column of the ${column}`}
        value={value ?? ''}
        onChange={(event) => onChange(event.target.value === '' ? undefined : Number(event.target.value))}
      >
        <option value="">not in the list</option>
        {headings.map((heading, i) => (
          <option key={i} value={i}>
            {heading || `column ${i + 1}`}
          </option>
        ))}
      </Select>
    </label>
  );
}

function summary(plan: ListPlan): string {
  const count = (what: string) => plan.modules.filter((m) => m.what === what).length;
  const parts = [
    `${count('added')} added`,
    `${count('changed')} changed`,
    `${count('unchanged')} unchanged`,
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
          differs.join('; '),
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
