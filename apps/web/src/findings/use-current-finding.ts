import { fixesOf, type Fix } from '@dialoga/core/check';
import type { Finding } from '@dialoga/core/finding';
import type { Project } from '@dialoga/core/model';
import { useDeferredValue, useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { letGoOfFocus } from '../page/focus';
import { findingsSlice } from '../store/findings-slice';
import { useAppDispatch, useStateOf, type Thunk } from '../store/store';
import { editsBefore, fixFinding } from './fix-finding';
import { linkToFinding } from './link';

/** Showing and fixing a finding: by the project as it is when the key is pressed. */
export function useFindingActions() {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const { project: projectId = '' } = useParams();

  const show = (finding: Finding) => {
    const project = dispatch(projectAtHand());
    dispatch(findingsSlice.actions.chosen(finding.key));
    letGoOfFocus();
    if (project) void navigate(linkToFinding(project, projectId, finding));
  };
  const fix = (finding: Finding, choice = 0) => dispatch(fixFinding(finding, choice));
  return { show, fix };
}

const projectAtHand = (): Thunk<Project | null> => (_, getState) => getState().project.project;

/** The ready fixes of a finding, the proposed one first. */
export function useFixes(finding: Finding | undefined): Fix[] {
  const project = useDeferredValue(useStateOf((s) => s.project.project));
  const undo = useStateOf((s) => s.project.undo);
  const since = useStateOf((s) => (finding ? s.findings.since.get(finding.key) : undefined));
  return useMemo(
    () => (finding && project ? fixesOf(finding, project, editsBefore(undo, since)) : []),
    [finding, project, undo, since],
  );
}

/** Going through the findings one after the other. */
export function useGoThrough(): (by: 1 | -1) => void {
  const dispatch = useAppDispatch();
  const { show } = useFindingActions();
  return (by) => {
    const finding = dispatch(findingBeside(by));
    if (finding) show(finding);
  };
}

function findingBeside(by: 1 | -1): Thunk<Finding | null> {
  return (_, getState) => {
    const { byKey, order, current } = getState().findings;
    const index = current === null ? -1 : order.indexOf(current);
    const next = index < 0 ? (by === 1 ? 0 : order.length - 1) : (index + by + order.length) % order.length;
    return byKey.get(order[next] ?? '') ?? null;
  };
}
