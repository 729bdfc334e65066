import { useEffect } from 'react';
import { followProject } from '../events/follow-project';
import { happen } from '../store/happen';
import { lookBeside } from '../store/looking-beside';
import { useAppDispatch, useStateOf } from '../store/store';

/** Takes in what others store while the project is open; what became of the projects beside it, when one comes back to it. */
export function useEvents(): void {
  const dispatch = useAppDispatch();
  const { id, past, status } = useStateOf((s) => s.project);
  const checked = useStateOf((s) => s.findings.ready);
  const following = status === 'ready' && past === null ? id : null;
  useEffect(() => {
    if (following !== null) return followProject(following, (told) => dispatch(happen({ what: 'heard', ...told })));
  }, [following, dispatch]);
  useEffect(() => {
    if (following === null || !checked) return;
    const look = () => void dispatch(lookBeside());
    look();
    window.addEventListener('focus', look);
    return () => window.removeEventListener('focus', look);
  }, [following, checked, dispatch]);
}
