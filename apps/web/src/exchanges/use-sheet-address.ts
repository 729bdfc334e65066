import type { Cell } from '@dialoga/core/finding';
import { childrenOf, type End, type Exchange, type Project } from '@dialoga/core/model';
import { useMemo } from 'react';
import { useLocation } from 'react-router';
import { cellFromLink } from '../findings/link';
import { isStillThere, useOwnPlace } from '../page/use-own-place';
import { zoomFrom, zoomText, type Zoom } from './map/zoom';
import { pagesOf, withPage, type Pages } from './pages';

/** What the address bar says of a sheet, and how it is changed: the cell, the pages, what the map shows. */
export interface SheetAddress {
  ends: readonly End[];
  pages: Pages | null;
  zoom: Zoom | null;
  /** the cell that is named */
  linked: Cell | null;
  /** it was put there by the sheet's own cursor: nothing is to be jumped to */
  own: boolean;
  /** another one for every visit of a link */
  visit: string;
  /** the parameters that name the pages, for other views of the same exchange */
  pagesOnly: string;
  nameCell: (at: string | null) => void;
  zoomTo: (zoom: Zoom | null) => void;
  choosePage: (side: 'left' | 'right', end: string) => void;
}

export function useSheetAddress(project: Project, exchange: Exchange | undefined): SheetAddress {
  const [search, go] = useOwnPlace();
  const location = useLocation();
  const linked = useMemo(() => cellFromLink(search), [search]);
  const ends = useMemo(() => (exchange ? childrenOf(project, 'end', exchange.id) : []), [project, exchange]);
  const linkedEnd = linked?.kind === 'claim' ? (project.get('claim', linked.id)?.end ?? null) : (linked?.id ?? null);
  const pages = pagesOf(ends, search, linkedEnd);

  const put = (name: string, value: string | null) => {
    if (value === search.get(name)) return;
    const next = new URLSearchParams(search);
    if (value === null) next.delete(name);
    else next.set(name, value);
    go(next);
  };
  return {
    ends,
    pages,
    zoom: zoomFrom(search.get('zoom')),
    linked,
    own: (location.state as { own?: boolean } | null)?.own === true,
    visit: location.key,
    pagesOnly: ['left', 'right'].flatMap((page) => (search.has(page) ? [`${page}=${search.get(page)}`] : [])).join('&'),
    nameCell: (at) => isStillThere(search) && put('at', at),
    zoomTo: (zoom) => put('zoom', zoom && zoomText(zoom)),
    choosePage: (side, end) => pages && go(withPage(search, pages, side, end)),
  };
}
