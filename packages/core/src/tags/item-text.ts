import { read, unread, type Read } from '../address/result.js';
import { readable } from '../model/as-typed.js';
import { IN_TAG, type Place } from '../model/claim.js';
import { entriesInOrder } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import { caseMattersBetween, tagNamed, tagsOf } from './tag-place.js';

/** What an item text names. */
export interface ItemParts {
  group: string;
  tag: string;
  /** null: none is named */
  element: number | null;
}

/** How a tag is asked for where the profile of the station says nothing of its own. */
export const ASSUMED_ITEM_TEXT = '{group}.{tag}[{element}]';

/** The template of a station, of its profile or ours. */
export function itemTemplate(reader: Reader, station: Station): string {
  const profile = station.profile ? reader.get('profile', station.profile) : undefined;
  return profile?.itemText?.text || ASSUMED_ITEM_TEXT;
}

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&');

/** What stands around the element, with it: `[{element}]`. Left out where a text names none. */
const ELEMENT = /[^\w{}]?\{element\}[^\w{}]?/;

/** Parts as the template writes them: `Plant.RoomStates[3]`. */
export function formatItemText(template: string, { group, tag, element }: ItemParts): string {
  const whole = element === null ? template.replace(ELEMENT, '') : template.replace('{element}', String(element));
  return whole.replace('{group}', group).replace('{tag}', tag);
}

/** The inverse: which group, tag and element a text names. */
export function parseItemText(template: string, text: string): Read<ItemParts> {
  const clean = text.trim();
  const expected = `a text is written ${template}, as in ${formatItemText(template, { group: 'Group', tag: 'Tag', element: 0 })}`;
  const element = ELEMENT.exec(template)?.[0] ?? '';
  const pattern = escaped(template)
    .replace(
      escaped(element),
      element === '' ? '' : `(?:${escaped(element).replace('\\{element\\}', '(?<element>\\d{1,7})')})?`,
    )
    .replace('\\{group\\}', '(?<group>.+?)')
    .replace('\\{tag\\}', '(?<tag>.+?)');
  const match = new RegExp(`^${pattern}$`).exec(clean);
  const { group, tag, element: number } = match?.groups ?? {};
  if (!match || !tag) return unread(`“${clean}” is no item text`, expected);
  return read({ group: group ?? '', tag, element: number === undefined ? null : Number(number) });
}

/** What is wrong with an item text: which part, and what there is in its place. */
export interface ItemFault {
  part: 'text' | 'group' | 'tag' | 'element';
  found: string;
  expected: string;
  /** names that could have been meant */
  names: readonly string[];
}

/**
 * The tag of another station that a text of this station names: through the group, which stands for that station. A fault
 * where the text cannot be read, or names what is not there.
 */
export function judgeItemText(
  reader: Reader,
  station: Station,
  text: string,
  other: string,
): { place: Place; fault: null } | { place: null; fault: ItemFault } {
  const fault = (part: ItemFault['part'], found: string, expected: string, names: readonly string[] = []) => ({
    place: null,
    fault: { part, found, expected, names },
  });
  const parsed = parseItemText(itemTemplate(reader, station), text);
  if (!parsed.ok) return fault('text', parsed.found, parsed.expected);
  const groups = entriesInOrder(station.groups ?? {}).map(([, group]) => group);
  const { group: groupName, tag: tagName, element } = parsed.value;
  const group = groups.find((g) => g.name.toLowerCase() === groupName.toLowerCase());
  if (!group) {
    const mine = groups.filter((g) => g.station === other).map((g) => g.name);
    const all = groups.map((g) => g.name);
    const expected = all.length > 0 ? `its groups are ${all.join(', ')}` : 'it has no groups yet';
    return fault('group', `there is no group “${groupName}”`, expected, mine.length > 0 ? mine : all);
  }
  if (group.station && group.station !== other) {
    const [of, meant] = [group.station, other].map((id) => reader.get('station', id)?.name ?? '');
    const mine = groups.filter((g) => g.station === other).map((g) => g.name);
    return fault('group', `group “${group.name}” is of ${of}`, `a group of ${meant}`, mine);
  }
  const there = reader.get('station', other);
  const tag = tagNamed(reader, other, tagName, there ? caseMattersBetween(reader, there) : false);
  if (!tag) {
    const name = reader.get('station', other)?.name ?? '';
    return fault(
      'tag',
      `${name} has no tag “${tagName}”`,
      'the name of one of its tags',
      tagsOf(reader, other).map((t) => t.name),
    );
  }
  const last = (readable(tag.type)?.count ?? 1) - 1;
  if (element !== null && element > last) {
    return fault('element', `${tag.name} has no element ${element}`, `its last is ${last}`, [String(last)]);
  }
  return { place: { area: tag.id, view: IN_TAG, number: element ?? 0 }, fault: null };
}
