import { useEffect } from 'react';
import { api } from '../api/client';
import { catchUp } from '../store/following';
import { useAppDispatch, useStateOf } from '../store/store';

/** Follows the project's stream of revisions while it is open; a stream that broke is taken up again by the browser. */
export function useEvents(): void {
  const dispatch = useAppDispatch();
  const { id, past, status } = useStateOf((s) => s.project);
  const following = status === 'ready' && past === null ? id : null;
  useEffect(() => {
    if (following === null) return;
    const stream = new EventSource(api.eventsAddress(following));
    stream.onmessage = () => void dispatch(catchUp());
    return () => stream.close();
  }, [following, dispatch]);
}
