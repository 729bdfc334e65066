import { read, unread, type Read } from '../text/read.js';
import { elementNamed, subscriptOf } from '../data/types.js';
import { readable } from '../model/as-typed.js';
import { IN_TAG, type Place } from '../model/claim.js';
import { entriesInOrder } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import { fillTemplate, isDigit, matchTemplate, readTemplate } from '../text/template.js';
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

const PARTS = ['group', 'tag', 'element'] as const;
const NAME = { holds: () => true, takes: 'few' } as const;
const FORMS = { group: NAME, tag: NAME, element: { holds: isDigit, takes: 'many' } } as const;
const MOST_ELEMENT_DIGITS = 7;

/** What stands around the element, with it: `[{element}]`. Left out where a text names none. */
const ELEMENT = /[^\w{}]?\{element\}[^\w{}]?/;

/** Parts as the template writes them: `Plant.RoomStates[3]`. */
export function formatItemText(template: string, { group, tag, element }: ItemParts): string {
  const whole = element === null ? template.replace(ELEMENT, '') : template;
  return fillTemplate(readTemplate(whole, PARTS), { group, tag, element: String(element) });
}

/** The inverse: which group, tag and element a text names. */
export function parseItemText(template: string, text: string): Read<ItemParts> {
  const clean = text.trim();
  const expected = `a text is written ${template}, as in ${formatItemText(template, { group: 'Group', tag: 'Tag', element: 0 })}`;
  const reads = (form: string) => matchTemplate(readTemplate(form, PARTS), FORMS, clean);
  const { group = '', tag, element } = reads(template) ?? reads(template.replace(ELEMENT, '')) ?? {};
  if (!tag || (element?.length ?? 0) > MOST_ELEMENT_DIGITS)
    return unread(`“${clean}” is not a valid item text`, expected);
  return read({ group, tag, element: element === undefined ? null : Number(element) });
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
  const type = readable(tag.type) ?? { base: 'WORD', count: 1 };
  const number = element === null ? 0 : elementNamed(type, String(element));
  if (number === null) {
    const last = subscriptOf(type, type.count - 1);
    return fault('element', `${tag.name} has no element ${element}`, `its last is ${last}`, [last]);
  }
  return { place: { area: tag.id, view: IN_TAG, number }, fault: null };
}
