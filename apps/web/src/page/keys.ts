import { useEffect, useEffectEvent } from 'react';

/**
 * Calls back for keys pressed anywhere on the page; inside a text field only where that is wished. A button that has the focus
 * keeps Enter to itself: `before all else` comes before it.
 */
export function useKeys(
  onKey: (event: KeyboardEvent) => void,
  where: 'not while typing' | 'also while typing' | 'before all else' = 'not while typing',
): void {
  const handle = useEffectEvent((event: KeyboardEvent) => {
    const target = event.target as HTMLElement;
    const typing = target.tagName === 'INPUT' || target.tagName === 'TEXTAREA' || target.tagName === 'SELECT';
    if (!typing || event.altKey || where !== 'not while typing') onKey(event);
  });
  useEffect(() => {
    const listener = (event: KeyboardEvent) => handle(event);
    const first = where === 'before all else';
    document.addEventListener('keydown', listener, first);
    return () => document.removeEventListener('keydown', listener, first);
  }, [where]);
}
