import { ruleOf, type Finding, type Fix, type Project } from '@dialoga/core';
import { edit } from '../store/editing';
import type { Dispatch, State } from '../store/store';

/** The ready fixes of a finding, the proposed one first. */
export function fixesOf(finding: Finding, project: Project): Fix[] {
  return ruleOf(finding.code).fixes?.(finding, project) ?? [];
}

/** Takes one of the ready fixes, as one undo step. */
export function fixFinding(finding: Finding, choice = 0) {
  return (dispatch: Dispatch, getState: () => State): void => {
    const { project } = getState().project;
    const chosen = project && fixesOf(finding, project)[choice];
    if (chosen) dispatch(edit(`${finding.code}: ${chosen.label}`, chosen.changes));
  };
}
