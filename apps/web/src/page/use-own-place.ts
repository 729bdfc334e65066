import { useSearchParams } from 'react-router';
import { isOnTheWay } from './on-the-way';

/**
 * What the address bar says of this page, and how the page itself puts its own place there: no step back, nothing is
 * jumped to. Who has already set out for another page is not called back by it.
 */
export function useOwnPlace(): [URLSearchParams, (next: URLSearchParams) => void] {
  const [search, setSearch] = useSearchParams();
  return [
    search,
    (next) => {
      if (!isOnTheWay()) setSearch(next, { replace: true, state: { own: true } });
    },
  ];
}

/**
 * Whether this is still what the address bar says. The cursor names its cell a moment late: what was chosen meanwhile is not
 * to be undone by it.
 */
export const isStillThere = (search: URLSearchParams): boolean =>
  new URLSearchParams(window.location.search).toString() === search.toString();
