import { useStore } from 'react-redux';
import { foresee } from '../store/foreseeing';
import { edit } from '../store/editing';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, type State } from '../store/store';
import type { ClipboardBlock } from './clipboard-block';
import { pastedInto, typedInto, type TableChange } from './table-edits';
import type { CellAt, CellEdit, GridColumn, GridRow, Judged } from './types';

/** Of that many problems of a block the first are told, and how many more. */
const TOLD = 3;

export interface Table {
  /** of the undo step: `Edit areas` */
  label: string;
  columns: readonly GridColumn[];
  rows: readonly GridRow[];
}

/** What a grid is given of a table. */
interface TableProps {
  columns: readonly GridColumn[];
  rows: readonly GridRow[];
  onEdit: (edits: CellEdit[]) => void;
  judge: (at: CellAt, text: string) => Judged;
  onPaste: (at: CellAt, block: ClipboardBlock) => void;
}

/** What every table can do with typed and pasted text: one undo step, and a sentence where something was not taken. */
export const useTable = (table: Table): TableProps => useTableOf()(table);

/** The same for a table that is not always there. */
export function useTableOf(): (table: Table) => TableProps {
  const dispatch = useAppDispatch();
  const store = useStore<State>();
  const take = ({ changes }: TableChange, as: string) => dispatch(edit(as, changes)) === null;
  const say = (words: readonly string[]) => {
    if (words.length > 0) dispatch(projectSlice.actions.noticed(words.join(' · ')));
  };
  return (table) => ({
    columns: table.columns,
    rows: table.rows,
    onEdit: (edits) => {
      const { project } = store.getState().project;
      if (!project) return;
      const change = typedInto(project, table.rows, edits);
      if (take(change, change.label ?? table.label)) say(change.problems);
    },
    judge: (at, text) => {
      const { project } = store.getState().project;
      if (!project) return null;
      const { problems, changes } = typedInto(project, table.rows, [{ ...at, text }]);
      return problems[0] ?? foresee(changes);
    },
    onPaste: (at, { text }) => {
      const { project } = store.getState().project;
      if (!project) return;
      const change = pastedInto(project, table, at, text);
      if (!take(change, `${table.label}: pasted`)) return;
      const { made, changed, problems } = change;
      const rest = problems.length > TOLD ? [`and ${problems.length - TOLD} more`] : [];
      const done = made + changed > 0 ? [`Pasted: ${count(made)} made, ${changed} changed.`] : [];
      say([...done, ...problems.slice(0, TOLD), ...rest]);
    },
  });
}

const count = (made: number) => `${made} ${made === 1 ? 'row' : 'rows'}`;
