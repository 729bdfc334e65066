import type { ListKind } from '../../formats/list-kind.js';
import { read } from '../../text/read.js';
import { LIST_COLUMNS, recogniseColumns } from './columns.js';
import { listRows, type ListRow } from './list-rows.js';

const titled = (column: string): string => column[0]!.toUpperCase() + column.slice(1);

/** The modules of a plant, as an order or a parts list has them. */
export const HARDWARE_LIST: ListKind<ListRow[]> = {
  columns: Object.fromEntries(LIST_COLUMNS.map((column) => [column, titled(column)])),
  understand: (table) => {
    const found = recogniseColumns(table);
    return found && { ...found, twice: [] };
  },
  read: (table, heading, columns) => read(listRows(table, heading, columns)),
};
