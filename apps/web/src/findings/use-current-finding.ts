import type { Finding } from '@dialoga/core/finding';
import type { Project } from '@dialoga/core/model';
import { useNavigate, useParams } from 'react-router';
import { letGoOfFocus } from '../page/focus';
import { findingsSlice } from '../store/findings-slice';
import { useAppDispatch, type Thunk } from '../store/store';
import { fixFinding } from './fix-finding';
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
  const fix = (finding: Finding, label?: string) => dispatch(fixFinding(finding, label));
  return { show, fix };
}

const projectAtHand = (): Thunk<Project | null> => (_, getState) => getState().project.project;

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
