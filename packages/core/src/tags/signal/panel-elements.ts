import { elementary } from '../../data/types.js';
import { readable } from '../../model/as-typed.js';
import type { Tag } from '../../model/tag.js';
import type { PanelElement } from '../../model/words.js';

/** Elements that set something; with the others one only looks. */
export const SETTING_ELEMENTS: readonly PanelElement[] = [
  'push button',
  'two-way switch',
  'number entry',
  'choice of several',
  'text entry',
];

/** Which elements suit a value: by what it is, the one most used first. [common practice] */
const LOOKING = { bool: ['lamp'], number: ['number shown', 'bar'], text: ['text shown'] } as const;
const SETTING = {
  bool: ['push button', 'two-way switch'],
  number: ['number entry', 'choice of several'],
  text: ['text entry'],
} as const;

/** Elements of a panel that suit a tag’s type and access, the most usual first; none where its type is not known. */
export function panelElementsFor({ type, access }: Pick<Tag, 'type' | 'access'>): PanelElement[] {
  const known = readable(type);
  const family = known && elementary(known.base)?.family;
  if (!family) return [];
  const what = family === 'bool' ? 'bool' : family === 'text' ? 'text' : 'number';
  return access === 'read' ? [...LOOKING[what]] : [...SETTING[what], ...LOOKING[what]];
}
