import type { FieldEdit } from '@dialoga/core/text';
import { edit } from './editing';
import { projectSlice } from './project-slice';
import { useAppDispatch } from './store';

/** Commits what typed text gave as one undo step, and says what could not be taken. */
export function useEdits() {
  const dispatch = useAppDispatch();
  return (label: string, edits: readonly FieldEdit[]) => {
    dispatch(
      edit(
        label,
        edits.flatMap((e) => e.changes),
      ),
    );
    const problems = edits.flatMap((e) => e.problem ?? []);
    if (problems.length > 0) dispatch(projectSlice.actions.noticed(problems.join(' · ')));
  };
}
