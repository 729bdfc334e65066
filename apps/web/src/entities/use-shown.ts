import type { Editing, Rows } from '@dialoga/core/fields';
import type { Project } from '@dialoga/core/model';
import { newId } from '../api/new-id';
import { rememberedName } from '../api/remembered-name';
import { useWrongCells } from '../findings/use-wrong-cells';
import { useStateOf } from '../store/store';
import type { Shown } from './entity-rows';

/** What a text is read with when somebody types it here and now. */
export const typingNow = (project: Project): Editing => ({
  project,
  newId,
  by: rememberedName(),
  at: new Date().toISOString(),
});

/** Rows of a sort as this page shows them: over the project as it is, with what findings say of their cells. */
export function useShown<Row, Id extends string>(
  of: Rows<Row, Id>,
  columns: readonly Id[],
  besides: Pick<Shown<Row, Id>, 'look' | 'edit' | 'height'> = {},
): Shown<Row, Id> {
  const project = useStateOf((s) => s.project.project)!;
  const wrong = useWrongCells(of.kind);
  return { of, columns, project, wrong, editing: typingNow, ...besides };
}
