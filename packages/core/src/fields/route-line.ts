import { apply } from '../change/apply.js';
import type { Change } from '../change/change.js';
import { put } from '../change/make.js';
import { inOrder, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Route } from '../model/route.js';
import { TRAFFICS } from '../model/words.js';
import { unreadSentence } from '../text/read.js';
import { editField } from './field.js';
import { readPair, ROUTE } from './route.js';

/** A route that was made from a line. */
export interface LinedRoute {
  id: string;
  /** `ServiceLaptop → BusNode` */
  name: string;
  changes: Change[];
  /** what of the line was not taken, with the reason */
  unread: string[];
}

/**
 * A route in one line: `ServiceLaptop → BusNode`, with what it is for, the own port that it leaves by and the text as it is
 * typed behind the names: `ServiceLaptop → BusNode, program transfer, by Adapter 2, text 1,10.8.4.70,2,9`. A sentence where it names no two stations.
 */
export function routeFromLine(project: Project, line: string, newId: () => string): LinedRoute | { problem: string } {
  const [, said = '', stated] = /^(.*?)(?:[,;]\s*text\s+(.+))?$/i.exec(line.trim()) ?? [];
  const [first = '', ...more] = said.split(/[,;]/).map((piece) => piece.trim());
  // The second name may stand behind a comma: `A, B`.
  const arrow = /→|->|>|\bto\b/i.test(first);
  const pair = readPair(project, arrow ? first : `${first}, ${more.shift() ?? ''}`);
  if ('changes' in pair) return { problem: pair.problem ?? '' };
  const { from, to } = pair;
  const id = newId();
  const order = orderAfter(inOrder(project, 'route'));
  const route: Route = { id, order, from: from.id, to: to.id, port: null, traffic: 'requests', stated: stated ?? '' };
  const changes: Change[] = [put('route', route)];
  const unread: string[] = [];
  for (const piece of more.filter((one) => one !== '')) {
    const made = apply(project, { id: 'line', label: '', changes });
    const now = made.ok ? project.with(made.entities) : project;
    const field = fieldOf(piece);
    const { changes: edits, problem } = field
      ? editField(ROUTE, field.of, now.get('route', id) ?? route, field.text, { project: now, newId })
      : { changes: [], problem: unreadSentence({ found: `“${piece}” says nothing of a route`, expected: SAYS }) };
    if (problem !== null) unread.push(problem);
    changes.push(...edits);
  }
  return { id, name: `${from.name} → ${to.name}`, changes, unread };
}

const SAYS = `write what it is for (${TRAFFICS.join(', ')}), by and a port, or text and the text of the route`;

function fieldOf(piece: string): { of: 'traffic' | 'port'; text: string } | null {
  const [, port] = /^by\s+(.+)$/i.exec(piece) ?? [];
  if (port) return { of: 'port', text: port };
  const traffic = TRAFFICS.find((one) => one.startsWith(piece.toLowerCase().replace(/^for\s+/, '')));
  return traffic ? { of: 'traffic', text: traffic } : null;
}
