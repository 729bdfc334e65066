import type { Finding } from '@dialoga/core/finding';
import { edit } from '../store/editing';
import { projectSlice } from '../store/project-slice';
import type { Thunk } from '../store/store';
import { checker } from '../worker/checker';
import type { FixesAsked } from '../worker/checker.worker';

/** These findings, as the worker is asked for their fixes. */
export function askedOf(findings: readonly Finding[]): Thunk<FixesAsked> {
  return (_, getState) => {
    const { project, findings: found } = getState();
    return {
      findings: findings.map(({ key }) => [key, found.since.get(key)] as const),
      undo: project.undo.map(({ id }) => id),
    };
  };
}

/** One after the other: each is worked out on what the one before it left. */
let running: Promise<void> = Promise.resolve();

/** Takes one of the ready fixes, as one undo step: the one with this label, as it is by then; without one, the proposed. */
export function fixFinding(finding: Finding, label?: string): Thunk {
  return (dispatch) => {
    running = running.then(async () => {
      const [[, fixes] = [finding.key, []]] = await checker().fixes(dispatch(askedOf([finding])));
      const chosen = label === undefined ? fixes[0] : fixes.find((fix) => fix.label === label);
      if (chosen) dispatch(edit(`${finding.code}: ${chosen.label}`, chosen.changes));
    });
    running = running.catch((error: unknown) => {
      const why = error instanceof Error ? error.message : String(error);
      dispatch(
        projectSlice.actions.noticed(`The fix could not be worked out (${why}). Reload the page to check anew.`),
      );
    });
  };
}
