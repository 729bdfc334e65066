import { apply } from '../change/apply.js';
import type { Change } from '../change/change.js';
import { put } from '../change/make.js';
import { newPort, newStation } from '../create/new-entities.js';
import { childrenOf, inOrder, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import { ROLES } from '../model/words.js';
import { profileByWords } from '../profiles/profile-by-words.js';
import { parseWord } from '../text/field-edit.js';
import { editField } from './field.js';
import { readLineWords } from './line-words.js';
import { STATION } from './station.js';

const ADDRESS = /^(?:\.\d{1,3}|free|\d{1,3}(?:\.\d{1,3}){3}(?:\/\S+)?)$/i;

type Part = 'roles' | 'profile' | 'addresses' | 'typeText';

/** What a part of the line can be; null: nothing that is known. */
function partOf(project: Project, text: string): Part | null {
  if (ADDRESS.test(text) || readLineWords(text)) return 'addresses';
  if (parseWord(text, ROLES, 'role').ok) {
    // A word that is a role and the whole name of a profile is the profile, whose stations have that role.
    return profileByWords(project, text).ok ? 'profile' : 'roles';
  }
  return profileByWords(project, text).ok ? 'profile' : null;
}

/** A station that was made from a line. */
export interface LinedStation {
  changes: Change[];
  id: string;
  name: string;
  /** what of the line was not taken, with the reason */
  unread: string[];
}

/**
 * A station in one line: `PumpCtl`, or `PumpCtl, registers, 10.8.2.11/24`, with what is known of its type and its address
 * (`unit 11 on 9600 8E1`, `node 4`) in any order; also as the cells of a row. What is known of no type is its type as its
 * maker says it; a line of which nothing is known is its name.
 */
export function stationFromLine(project: Project, line: string | readonly string[], newId: () => string): LinedStation {
  const cells = (typeof line === 'string' ? line.split(/[,;\t]/) : line).map((cell) => cell.trim());
  const [first = '', ...more] = cells;
  const parts = more.flatMap((cell) => partsOf(project, cell));
  const nothing = typeof line === 'string' && (first === '' || parts.every(({ of }) => of === 'typeText'));
  const id = newId();
  const name = nothing ? (line as string).trim() : first;
  const changes: Change[] = [put('station', newStation(id, orderAfter(inOrder(project, 'station')), name))];
  const unread: string[] = [];
  let now = after(project, changes);
  const take = (more: readonly Change[]) => {
    changes.push(...more);
    now = after(now, more);
  };
  /** One that is known to be on no line has an Ethernet port. */
  const withPort = () => {
    if (childrenOf(now, 'port', id).length > 0) return;
    const lans = inOrder(project, 'network').filter(({ kind }) => kind === 'ethernet');
    take([put('port', newPort(newId(), 10, id, lans.length === 1 ? lans[0]!.id : null))]);
  };
  // Its type first: an address then finds the port that it begins with.
  const said = nothing ? [] : ORDER.map((of) => ({ of, texts: parts.filter((part) => part.of === of).map(({ text }) => text) }));
  for (const { of, texts } of said.filter((part) => part.texts.length > 0)) {
    if (of === 'addresses' && !texts.every((one) => readLineWords(one))) withPort();
    const { changes: more, problem } = editField(STATION, of, now.get('station', id)!, texts.join(', '), { project: now, newId });
    if (problem !== null) unread.push(problem);
    take(more);
  }
  withPort();
  return { changes, id, name, unread };
}

interface KnownPart {
  of: Part;
  text: string;
}

const ORDER: readonly Part[] = ['profile', 'roles', 'addresses', 'typeText'];

/** A cell is one part; one that is not known may be several with commas. */
function partsOf(project: Project, cell: string): KnownPart[] {
  if (cell === '') return [];
  const whole = partOf(project, cell);
  if (whole !== null) return [{ of: whole, text: cell }];
  const pieces = cell.split(',').map((text) => ({ of: partOf(project, text.trim()), text: text.trim() }));
  const known = pieces.flatMap(({ of, text }) => (of === null ? [] : [{ of, text }]));
  return known.length === pieces.length ? known : [{ of: 'typeText', text: cell }];
}

function after(project: Project, changes: readonly Change[]): Project {
  const applied = apply(project, { id: 'line', label: '', changes });
  return applied.ok ? project.with(applied.entities) : project;
}
