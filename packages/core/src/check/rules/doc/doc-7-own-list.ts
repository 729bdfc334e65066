import { samePlace } from '../../../place/resolve.js';
import { set } from '../../../change/make.js';
import { readToldPlace } from '../../../lane/told-place.js';
import { sameType } from '../../../data/types.js';
import type { Comparison } from '../../../lane/compare.js';
import type { Side } from '../../../lane/side.js';
import { readable } from '../../../model/as-typed.js';
import type { TypeRef } from '../../../model/claim.js';
import type { Tag } from '../../../model/tag.js';
import { typeText } from '../../../structure/type-text.js';
import { tagOf } from '../../../place/open-of.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Context, Report, Rule } from '../../rule.js';

export const ownList: Rule = {
  meta: {
    code: 'DOC 7',
    title: 'An exchange takes a tag as the list of its own station has it',
    yieldsAtCell: ['TYP 1', 'TYP 2', 'TYP 10', 'SIZ 2', 'POS 1', 'POS 11', 'POS 12', 'POS 13'],
    source: 'common practice: a list that is brought in anew does not change what was bound before',
    messages: {
      asks: {
        severity: 'doubt',
        headline: '{lane}: {a} asks for {told} here, and for {listed} in its list of tags',
        says: ['asks for [[{told}]] in this exchange', 'its list asks for [[{listed}]]'],
        consequence: 'One of the two is out of date, and somebody types it over.',
        remedy: 'Settle which holds, and write it in both.',
      },
      type: {
        severity: 'doubt',
        headline: '{lane}: {tag} of {a} is {told} here, and {listed} in its list of tags',
        says: ['is [[{told}]] in this exchange', 'its list has [[{listed}]]'],
        consequence: 'One of the two is out of date, and somebody types it over.',
        remedy: 'Settle which holds, and write it in both.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const side of comparison.sides) {
        const tag = tagOf(context.reader, side.claim);
        if (!tag) continue;
        yield* asks(comparison, context, side, tag);
        yield* type(comparison, context, side, tag);
      }
    },
  },
  fixes(finding, reader) {
    const claim = reader.get('claim', finding.cells[0]?.id ?? '');
    const tag = claim && tagOf(reader, claim);
    if (!claim || !tag) return [];
    const [field, listed] = finding.message === 'asks' ? (['toldPlace', 'asks'] as const) : (['type', 'type'] as const);
    return [
      { label: `as the list: ${finding.params.listed}`, changes: [set('claim', claim, [field], tag[listed] ?? null)] },
      { label: `as here: ${finding.params.told}`, changes: [set('tag', tag, [listed], claim[field])] },
    ];
  },
};

function* asks(comparison: Comparison, context: Context, side: Side, tag: Tag): Generator<Report> {
  const told = side.claim.toldPlace ?? '';
  const listed = tag.asks ?? '';
  const other = comparison.sides.find((one) => one !== side);
  if (told === '' || listed === '' || plain(told) === plain(listed) || !other) return;
  const [here, there] = [told, listed].map((text) =>
    readToldPlace(context.reader, text, other.station.id, other.claim),
  );
  if (here!.ok && there!.ok && samePlace(here!.value, there!.value)) return;
  yield report(comparison, context, side, tag, { message: 'asks', told, listed });
}

function* type(comparison: Comparison, context: Context, side: Side, tag: Tag): Generator<Report> {
  const [told, listed] = [readable(side.claim.type), readable(tag.type)];
  if (!told || !listed || isPart(told, listed) || readable(side.claim.place)?.bit !== undefined) return;
  const [a, b] = [told, listed].map((one) => typeText(context.reader, one));
  yield report(comparison, context, side, tag, { message: 'type', told: a!, listed: b! });
}

/** The whole of it, or some of its elements. */
const isPart = (told: TypeRef, listed: TypeRef): boolean =>
  told.count <= listed.count && sameType({ ...told, count: listed.count }, listed);

function report(
  comparison: Comparison,
  context: Context,
  side: Side,
  tag: Tag,
  { message, told, listed }: { message: 'asks' | 'type'; told: string; listed: string },
): Report {
  return laneReport(context, comparison, {
    message,
    label: 'own list',
    sides: [side, side],
    cells: [
      claimCell(side, message === 'asks' ? 'toldPlace' : 'type'),
      { kind: 'tag', id: tag.id, path: [message === 'asks' ? 'asks' : 'type'] },
    ],
    params: { told, listed, tag: tag.name },
    subjects: [side.claim.id, message],
  });
}

/** Case and spaces do not tell addresses apart. */
const plain = (text: string): string => text.replace(/\s+/g, '').toUpperCase();
