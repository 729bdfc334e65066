import { useEffect, useEffectEvent } from 'react';
import { useLocation } from 'react-router';

/** Where somebody goes to a table of a page by its name: it takes the focus when the page stands. */
export function useAskedTable(label: string, take: () => void): void {
  const { key, state } = useLocation();
  const { table } = (state ?? {}) as { table?: string };
  const asked = table !== undefined && label.startsWith(table);
  const taken = useEffectEvent(take);
  useEffect(() => {
    if (asked) taken();
  }, [asked, key]);
}
