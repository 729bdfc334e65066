import { useSyncExternalStore } from 'react';

/** px of the window from which there is room for the list beside the work */
const WIDE = 1600;
const KEY = 'dialoga.pinned';
const CHANGED = 'dialoga-pinned';

const wide = () => window.innerWidth >= WIDE;

function subscribe(onChange: () => void): () => void {
  window.addEventListener('resize', onChange);
  document.addEventListener(CHANGED, onChange);
  return () => {
    window.removeEventListener('resize', onChange);
    document.removeEventListener(CHANGED, onChange);
  };
}

/** Whether the list of findings can be pinned beside the work, and whether it is. */
export function usePinned(): { possible: boolean; pinned: boolean; pin: (pinned: boolean) => void } {
  const state = useSyncExternalStore(subscribe, () =>
    !wide() ? 'narrow' : localStorage.getItem(KEY) === 'yes' ? 'pinned' : 'free',
  );
  return {
    possible: state !== 'narrow',
    pinned: state === 'pinned',
    pin: (pinned) => {
      localStorage.setItem(KEY, pinned ? 'yes' : 'no');
      document.dispatchEvent(new Event(CHANGED));
    },
  };
}
