import { tagFieldText } from '@dialoga/core/fields';
import type { Project, Tag } from '@dialoga/core/model';
import { boundTo } from '@dialoga/core/tags';
import type { GridCell, GridRow } from '../grid/types';
import { COLUMN_SETS, optionsOf, type ColumnSet, type ShownColumn } from './tag-columns';

const MONO: ReadonlySet<ShownColumn> = new Set(['place', 'asks', 'type', 'scaling']);

/** A tag as a row of a set of columns. */
export function tagRow(
  project: Project,
  tag: Tag,
  set: ColumnSet,
  wrong: (id: string, ...path: string[]) => boolean,
): GridRow {
  const cellOf = (column: ShownColumn): GridCell => {
    if (column === 'bound') return { text: boundTo(project, tag.id).join(' · '), muted: true };
    if (column === 'from') return { text: originOf(project, tag), muted: true };
    if (column === 'notUsed') {
      const { notUsed } = tag;
      const show = notUsed ? `${notUsed.reason} (${notUsed.by})` : '';
      return { text: notUsed?.reason ?? '', show, editable: true, differs: wrong(tag.id, 'notUsed') };
    }
    const text = column === 'name' ? tag.name : tagFieldText(project, tag, column);
    const options = optionsOf(column, tag);
    const value = column === 'type' || column === 'place' || column === 'scaling' ? tag[column] : null;
    return {
      ...{ text, editable: true, differs: wrong(tag.id, column) },
      ...(options ? { options } : {}),
      ...(MONO.has(column) ? { mono: true } : {}),
      ...(value && 'typed' in value ? { unread: true } : {}),
    };
  };
  // Of a hundred thousand rows those on screen are worked out, when they are.
  let cells: GridRow['cells'] | null = null;
  return {
    id: tag.id,
    height: 26,
    get cells() {
      cells ??= COLUMN_SETS[set].map(cellOf);
      return cells;
    },
  };
}

function originOf(project: Project, tag: Tag): string {
  if (tag.series) return `series ${project.get('series', tag.series)?.sample ?? ''}`;
  if (tag.import) return project.get('import', tag.import)?.file ?? '';
  return tag.madeBy ? 'made for a connection' : 'typed';
}
