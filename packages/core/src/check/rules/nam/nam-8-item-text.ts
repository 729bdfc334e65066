import { set } from '../../../change/make.js';
import { namedTag } from '../../../lane/named-tag.js';
import { bindingOf } from '../../../lane/places-of.js';
import { formatItemText, itemTemplate, parseItemText } from '../../../place/item-text.js';
import { nearest } from '../../../tags/match/match.js';
import { NEAR_WORDS } from '../../../text/near.js';
import { readable } from '../../../model/as-typed.js';
import type { Reader } from '../../../model/project.js';
import { placeText } from '../../../place/place-text.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const itemTexts: Rule = {
  meta: {
    code: 'NAM 8',
    title: 'An item text can be read, and names a group, a tag and an element that are there',
    source: 'the text template of the station’s profile, with the source that stands there',
    yieldsTo: ['DIR 6'],
    messages: {
      fault: {
        severity: 'blocker',
        headline: '{lane}: {a} asks for {text}: {found}',
        says: ['asks for [[{text}]]', '{found}; {expected}{near}'],
        consequence: 'The tag server answers with bad quality; no value arrives.',
        remedy: 'Correct the text: {expected}.',
      },
      elsewhere: {
        severity: 'blocker',
        headline: '{lane}: {a} asks for {text}, and {b} says of this lane that it is {has}',
        says: ['asks for [[{text}]]', 'has [[{has}]] for it'],
        consequence: 'Another value arrives than the one that is meant.',
        remedy: 'Ask for the tag that the lane is of, or bind the lane to the tag that is named.',
      },
      notSaid: {
        severity: 'blocker',
        headline: '{lane}: {a} asks by item text, and has none for it',
        says: ['[[no text]]', 'has {has} for it'],
        consequence: 'Nothing is asked for.',
        remedy: 'Type the text, as in {expected}.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const { lane, exchange, sides } = comparison;
      if (bindingOf(exchange, lane) !== 'by item text') return;
      const { reader } = context;
      for (const caller of sides.filter((side) => side.end.calling === 'calls')) {
        for (const other of sides.filter((side) => side !== caller)) {
          const named = namedTag(reader, exchange, lane, caller, other);
          if (named && !named.fault && named.elsewhere === null) continue;
          const [near] = named?.fault
            ? nearest(nameIn(reader, caller.station.id, named.text, named.fault.part), named.fault.names, 1)
            : [];
          const there = readable(other.claim.place);
          yield laneReport(context, comparison, {
            message: !named ? 'notSaid' : named.fault ? 'fault' : 'elsewhere',
            label: 'item text',
            sides: [caller, other],
            cells: [claimCell(caller, 'toldPlace')],
            params: {
              text: named?.text ?? '',
              found: named?.fault?.found ?? '',
              expected: named?.fault?.expected ?? itemTemplate(reader, caller.station),
              near: near ? `; ${near.name} is near: ${NEAR_WORDS[near.kind]}` : '',
              has: named?.elsewhere ?? (there ? placeText(reader, there) : 'no place'),
            },
            subjects: [caller.claim.id, other.claim.id],
          });
        }
      }
    },
  },
  /** The text that names what the other end says of the lane, through the group of that station. */
  fixes(finding, reader) {
    const claim = reader.get('claim', finding.cells[0]?.id ?? '');
    const [mine, theirs] = finding.parties.map((party) => reader.get('station', party.station));
    const other = claim && theirs && otherClaim(reader, claim.lane, theirs.id);
    const place = other && readable(other.place);
    const tag = place && reader.get('tag', place.area);
    const group = theirs && Object.values(mine?.groups ?? {}).find((g) => g.station === theirs.id);
    if (!claim || !mine || !tag || !group || !place) return [];
    const several = (readable(tag.type)?.count ?? 1) > 1;
    const parts = { group: group.name, tag: tag.name, element: several ? place.number : null };
    const text = formatItemText(itemTemplate(reader, mine), parts);
    return [{ label: `${mine.name} asks for ${text}`, changes: [set('claim', claim, ['toldPlace'], text)] }];
  },
};

const otherClaim = (reader: Reader, lane: string, station: string) =>
  reader
    .referrers('claim', lane)
    .flatMap((id) => reader.get('claim', id) ?? [])
    .find((claim) => reader.get('end', claim.end)?.station === station);

/** The part of a text that a fault is about. */
function nameIn(reader: Reader, stationId: string, text: string, part: string): string {
  const station = reader.get('station', stationId);
  const parsed = station && parseItemText(itemTemplate(reader, station), text);
  if (!parsed?.ok) return text;
  return part === 'group' ? parsed.value.group : parsed.value.tag;
}
