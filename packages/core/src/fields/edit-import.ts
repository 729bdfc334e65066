import { set } from '../change/make.js';
import type { TagImport } from '../model/tag-import.js';
import { changed, refused, type FieldEdit } from '../text/field-edit.js';

const FORM = /^(\d{4}-\d{2}-\d{2})(?:[ T](\d{2}:\d{2}))?$/;

/** `2026-05-31` or `2026-05-31 14:30`: when the source of an import was last changed; emptied, it is not known. */
export function editImportSource(entry: TagImport, text: string): FieldEdit {
  const clean = text.trim();
  if (clean === '') return changed(set('import', entry, ['source'], null));
  const [, day = '', time = '00:00'] = FORM.exec(clean) ?? [];
  const at = Date.parse(`${day}T${time}:00Z`);
  // A day that the month does not have would become one of the next.
  if (Number.isNaN(at) || !new Date(at).toISOString().startsWith(day))
    return refused({ found: `“${clean}” is no date`, expected: 'write it as 2026-05-31 or 2026-05-31 14:30' });
  return changed(set('import', entry, ['source'], new Date(at).toISOString()));
}
