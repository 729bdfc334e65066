import { useEffect } from 'react';
import { followProject } from '../events/follow-project';
import { catchUp } from '../store/following';
import { useAppDispatch, useStateOf } from '../store/store';

/** Takes in what others store while the project is open. */
export function useEvents(): void {
  const dispatch = useAppDispatch();
  const { id, past, status } = useStateOf((s) => s.project);
  const following = status === 'ready' && past === null ? id : null;
  useEffect(() => {
    if (following !== null) return followProject(following, () => void dispatch(catchUp()));
  }, [following, dispatch]);
}
