import type { Change } from '../../change/change.js';
import { put, set } from '../../change/make.js';
import type { FoundDevice } from '../../model/found-device.js';
import { inOrder, orderAfter } from '../../model/order.js';
import type { Project } from '../../model/project.js';
import { clockAhead } from '../../text/clock-ahead.js';
import { candidatesOf } from '../candidates.js';
import { FACTS, plainFact, type Fact } from '../facts.js';
import { factsOf } from '../differences.js';
import { plannedDevices, PlannedIndex } from '../planned-devices.js';
import type { FoundRow } from './found-row.js';

/** Who brings a list in, when (ISO 8601), and what it is called. */
export interface Seen {
  by: string;
  at: string;
  how: string;
}

export interface SurveyRow {
  row: FoundRow;
  /** twice: a row before it is the same device · not taken: it cannot be */
  what: 'new' | 'changed' | 'unchanged' | 'twice' | 'not taken';
  /** what is to be said of it; empty: nothing */
  note: string;
}

/** What a list of found devices would do to the survey. */
export interface SurveyPlan {
  rows: readonly SurveyRow[];
  changes: readonly Change[];
  /** a doubt about the whole list; empty: none */
  doubt: string;
}

/** Of a list of so many devices at least one should be planned. */
const FEW = 3;

/** Takes each row for a device that was found before, or a new one; the same list again changes nothing. */
export function planSurvey(project: Project, rows: readonly FoundRow[], seen: Seen, newId: () => string): SurveyPlan {
  const known = new Known(inOrder(project, 'found'));
  const taken = new Map<string, number>();
  const planned: SurveyRow[] = [];
  const changes: Change[] = [];
  let order = orderAfter(project.all('found'));
  for (const row of rows) {
    const fault = faultOf(row);
    if (fault !== null) {
      planned.push({ row, what: 'not taken', note: fault });
      continue;
    }
    const key = keysOf(row.facts)[0]!;
    const before = taken.get(key);
    if (before !== undefined) {
      planned.push({ row, what: 'twice', note: `row ${before} is the same device` });
      continue;
    }
    taken.set(key, row.line);
    const time = timeOf(row.seen, seen.at);
    const there = known.like(row.facts);
    const own = there ? updates(there, row, seen, time.at) : [put('found', made(row, seen, time.at, newId(), order))];
    if (!there) order += 10;
    changes.push(...own);
    planned.push({ row, what: !there ? 'new' : own.length > 0 ? 'changed' : 'unchanged', note: time.note });
  }
  return { rows: planned, changes, doubt: doubtOf(project, rows) };
}

/** What makes two rows one device: the hardware address; else name and address; else what else names it. */
function keysOf(facts: FoundRow['facts']): string[] {
  const plain = (fact: Fact) => plainFact(fact, facts[fact] ?? '');
  const hardware = plain('hardware');
  const rest = (['deviceName', 'address', 'unit', 'node', 'telemetry'] as const).map((fact) => plain(fact)).join(' | ');
  return hardware === '' ? [rest] : [hardware, rest];
}

class Known {
  private readonly by = new Map<string, FoundDevice>();

  constructor(all: readonly FoundDevice[]) {
    for (const one of all) for (const key of keysOf(factsOf(one))) if (!this.by.has(key)) this.by.set(key, one);
  }

  like(facts: FoundRow['facts']): FoundDevice | undefined {
    return this.by.get(keysOf(facts)[0]!);
  }
}

function faultOf({ facts }: FoundRow): string | null {
  const hardware = facts.hardware?.trim() ?? '';
  if (hardware !== '' && !/^[0-9a-f]{12}$/.test(plainFact('hardware', hardware)))
    return `“${hardware}” is no hardware address; it has six bytes, as in 02:00:5E:00:00:0B`;
  const slots = facts.slots?.trim() ?? '';
  return slots === '' || /^\d{1,4}$/.test(slots) ? null : `“${slots}” is no number of slots; write a whole number`;
}

function timeOf(seen: string, now: string): { at: string; note: string } {
  const time = seen === '' ? Number.NaN : Date.parse(seen);
  if (Number.isNaN(time)) return { at: now, note: seen === '' ? '' : `“${seen}” is no date and time; now is kept` };
  const ahead = clockAhead(seen, now);
  const note = ahead === '' ? '' : `seen at ${seen}, which is ${ahead}`;
  return { at: new Date(time).toISOString(), note };
}

function valuesOf({ facts, remark }: FoundRow): Partial<FoundDevice> {
  const { slots, ...texts } = facts;
  return {
    ...texts,
    ...(slots === undefined || slots.trim() === '' ? {} : { slots: Number(slots) }),
    ...(remark === '' ? {} : { remark }),
  };
}

const made = (row: FoundRow, { by, how }: Seen, at: string, id: string, order: number): FoundDevice => ({
  id,
  order,
  ...valuesOf(row),
  by,
  at,
  how,
});

/** What the list has otherwise now; what was decided of the device is open again where that is so. */
function updates(there: FoundDevice, row: FoundRow, { by, how }: Seen, at: string): Change[] {
  const next = valuesOf(row);
  const own = factsOf(there);
  const other = FACTS.filter((fact) => {
    const text = row.facts[fact];
    return text !== undefined && plainFact(fact, text) !== plainFact(fact, own[fact] ?? '');
  });
  if (other.length === 0 && (row.remark === '' || row.remark === there.remark)) return [];
  const fields = [...other, ...(row.remark === '' || row.remark === there.remark ? [] : (['remark'] as const))];
  return [
    ...fields.map((field) => set('found', there, [field], next[field])),
    ...Object.entries({ by, at, how }).flatMap(([field, value]) =>
      there[field as 'by'] === value ? [] : [set('found', there, [field], value)],
    ),
    ...(other.length > 0 && there.decision ? [set('found', there, ['decision'], null)] : []),
  ];
}

function doubtOf(project: Project, rows: readonly FoundRow[]): string {
  if (rows.length < FEW) return '';
  const index = new PlannedIndex(plannedDevices(project));
  const alike = rows.filter(({ facts }) => candidatesOf(index, facts).length > 0).length;
  return alike > 0
    ? ''
    : `Of ${rows.length} devices none is like one of this project: is it the list of another plant?`;
}
