import type { Cell } from '@dialoga/core/finding';
import { isKind, type Project } from '@dialoga/core/model';
import { useEffect, useEffectEvent } from 'react';
import { useLocation, useSearchParams } from 'react-router';
import { cellFromLink } from '../findings/link';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';

/** What a link names and this project has not; null where it is there. A profile's views stand with many areas. */
function missing(project: Project, { kind, id, path: [list = '', key = ''] }: Cell): string | null {
  if (!isKind(kind)) return `a “${String(kind)}”`;
  const entity = project.get(kind, id) as unknown as Record<string, Record<string, unknown> | undefined> | undefined;
  if (!entity) return kind === 'claim' ? 'a cell of a lane' : `a ${kind}`;
  if (list === 'items' && !entity.items?.[key]) return 'a value';
  if (list === 'reservations' && !entity.reservations?.[key]) return 'a reserved range';
  return null;
}

/** Says so where a link leads to something that was deleted, or never was in this project; once for each visit. */
export function useDeadLink(): void {
  const dispatch = useAppDispatch();
  const [search] = useSearchParams();
  const { key, state } = useLocation();
  const { project, status } = useStateOf((s) => s.project);
  const own = (state as { own?: boolean } | null)?.own === true;

  const look = useEffectEvent(() => {
    const cell = status === 'ready' && !own ? cellFromLink(search) : null;
    const gone = project && cell && missing(project, cell);
    if (!gone) return;
    const words = `The link leads to ${gone} that is not in this project: it was deleted, or belongs to another one.`;
    dispatch(projectSlice.actions.noticed(`${words} History shows what was there before.`));
  });
  useEffect(() => look(), [key, status]);
}
