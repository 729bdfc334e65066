import type { Project, Tag } from '@dialoga/core/model';
import { boundTo, panelElementsFor } from '@dialoga/core/tags';
import type { GridCell } from '../grid/types';
import type { ShownColumn } from './tag-columns';

/** What the list of a station's tags adds to their fields: what is bound to each, and the elements that suit it. */
export const tagLook =
  (project: Project) =>
  (tag: Tag, column: ShownColumn): Partial<GridCell> | undefined => {
    if (column === 'bound') return { text: boundTo(project, tag.id).join(' · ') };
    if (column !== 'element') return undefined;
    const suiting = panelElementsFor(tag);
    return suiting.length > 0 ? { options: suiting } : undefined;
  };
