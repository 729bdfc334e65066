import { useEffect, useEffectEvent } from 'react';

/** Calls back for keys pressed anywhere on the page; inside a text field only where that is wished. */
export function useKeys(
  onKey: (event: KeyboardEvent) => void,
  where: 'not while typing' | 'also while typing' = 'not while typing',
): void {
  const handle = useEffectEvent((event: KeyboardEvent) => {
    const target = event.target as HTMLElement;
    const typing = target.tagName === 'INPUT' || target.tagName === 'TEXTAREA' || target.tagName === 'SELECT';
    if (!typing || event.altKey || where === 'also while typing') onKey(event);
  });
  useEffect(() => {
    const listener = (event: KeyboardEvent) => handle(event);
    document.addEventListener('keydown', listener);
    return () => document.removeEventListener('keydown', listener);
  }, []);
}
