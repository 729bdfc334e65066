import type { Change } from '../change/change.js';
import { put, set } from '../change/make.js';
import type { Project } from '../model/project.js';
import type { Tag } from '../model/tag.js';
import type { FieldEdit } from '../text/field-edit.js';
import type { TagField } from '../formats/tag-list.js';
import { splitBlock } from '../formats/split-block.js';
import { tagBlock } from './paste-tag-columns.js';
import { newTag } from '../fields/tag.js';
import { readTagContext, readTagField } from '../fields/tag-field.js';

/** Where a block of cells lands: the tags as they stand from the cursor on, and the columns; null: one that is not typed into. */
export interface PasteTarget {
  tags: readonly string[];
  columns: readonly (TagField | 'name' | 'notUsed' | null)[];
}

/**
 * Tab-separated text from the cursor on: what stands there is changed, rows beyond become tags. Columns are understood by
 * headings or by what stands in them (`tagBlock`). What cannot be read is kept.
 */
export function pasteTags(
  project: Project,
  station: string,
  text: string,
  { tags, columns: shown }: PasteTarget,
  newId: () => string,
  by = 'not named',
): FieldEdit {
  const context = readTagContext(project, station);
  const { rows, columns, left } = tagBlock(splitBlock(text), shown, context);
  const changes: Change[] = [];
  const problems = left.map((column) => `column ${column} was left out: it is none of a tag`);
  let order: number | null = null;
  rows.forEach((cells, i) => {
    const known = project.get('tag', tags[i] ?? '');
    const fresh = known ? null : newTag(project, newId(), station);
    if (fresh) {
      order = (order ?? fresh.order - 10) + 10;
      fresh.order = order;
    }
    const tag = (known ?? fresh)!;
    const values: Partial<Record<keyof Tag, unknown>> = {};
    cells.forEach((cell, c) => {
      const column = columns[c];
      const clean = cell.trim();
      if (!column) return;
      if (column === 'name') values.name = clean;
      else if (column === 'notUsed') values.notUsed = clean === '' ? null : { reason: clean, by };
      else {
        const read = readTagField(column, clean, context);
        if (read.problem) problems.push(read.problem);
        if (read.taken) values[column] = read.value;
      }
    });
    if (known) {
      for (const [field, value] of Object.entries(values)) changes.push(set('tag', tag, [field], value));
    } else if (cells.some((cell) => cell.trim() !== '')) {
      const said = Object.entries(values).filter(([, value]) => value !== undefined && value !== null);
      changes.push(put('tag', { ...tag, ...Object.fromEntries(said) }));
    }
  });
  const some = problems.slice(0, 3).join(' · ');
  return { changes, problem: problems.length > 3 ? `${some} · and ${problems.length - 3} more` : some || null };
}
