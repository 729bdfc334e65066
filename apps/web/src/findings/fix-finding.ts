import type { ChangeSet } from '@dialoga/core/change';
import { fixesOf } from '@dialoga/core/check';
import type { Finding } from '@dialoga/core/finding';
import { edit } from '../store/editing';
import type { Thunk } from '../store/store';

/** The own edits that were made before this was found, oldest first; none where it was there when the project was opened. */
export function editsBefore(undo: readonly ChangeSet[], since: string | undefined): readonly ChangeSet[] {
  return since === undefined ? [] : undo.slice(0, undo.findLastIndex(({ id }) => id === since) + 1);
}

/** The same for a finding as it is now. */
export function editsFor({ key }: Finding): Thunk<readonly ChangeSet[]> {
  return (_, getState) => editsBefore(getState().project.undo, getState().findings.since.get(key));
}

/** Takes one of the ready fixes, as one undo step. */
export function fixFinding(finding: Finding, choice = 0): Thunk {
  return (dispatch, getState) => {
    const { project } = getState().project;
    const chosen = project && fixesOf(finding, project, dispatch(editsFor(finding)))[choice];
    if (chosen) dispatch(edit(`${finding.code}: ${chosen.label}`, chosen.changes));
  };
}
