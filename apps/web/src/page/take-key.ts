import { useKeys } from './keys';

/** Ctrl+Enter takes what a page proposes, from anywhere on it; null: there is nothing to take. */
export function useTakeKey(onTake: (() => void) | null): void {
  useKeys((event) => {
    if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey) || onTake === null) return;
    event.preventDefault();
    event.stopPropagation();
    onTake();
  }, 'before all else');
}
