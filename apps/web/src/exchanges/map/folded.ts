import { useState } from 'react';

const KEY = 'dialoga.map';

/** Whether the map is folded away: as it was left; at first, only where the window is low. */
export function useFolded(): [boolean, (folded: boolean) => void] {
  const [folded, setFolded] = useState(() => {
    const kept = localStorage.getItem(KEY);
    return kept === null ? window.innerHeight < 620 : kept === 'folded';
  });
  return [
    folded,
    (next) => {
      localStorage.setItem(KEY, next ? 'folded' : 'open');
      setFolded(next);
    },
  ];
}
