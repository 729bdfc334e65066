import { childrenOf, type Area, type Project } from '@dialoga/core/model';
import { refused, type FieldEdit } from '@dialoga/core/text';

/** The area of a station that a text names, or why it names none. */
export function areaNamed(project: Project, station: string, text: string): Area | FieldEdit {
  const areas = childrenOf(project, 'area', station);
  const area = areas.find((a) => a.name.toLowerCase() === text.toLowerCase());
  const expected = `areas of this station: ${areas.map((a) => a.name).join(', ')}`;
  return area ?? refused({ found: `“${text}” names no area of this station`, expected });
}
