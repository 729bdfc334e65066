import { set } from '../../../change/make.js';
import { entriesInOrder } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import type { Route } from '../../../model/route.js';
import { judgeText, type TextFault } from '../../../route/judge-text.js';
import type { Finding } from '../../../finding/finding.js';
import type { Fix, Report } from '../../rule.js';
import { routeReport } from './route-report.js';

/** A text of a route: the one that was typed, or one that a program may build; by the path of its field. */
interface Typed {
  text: string;
  path: readonly string[];
  /** the station that it leads to */
  to: string;
}

const textsOf = (route: Route): Typed[] => [
  ...(route.stated.trim() === '' ? [] : [{ text: route.stated, path: ['stated'], to: route.to }]),
  ...entriesInOrder(route.built?.permitted ?? {}).map(([key, { text, to }]) => ({
    text,
    path: ['built', 'permitted', key, 'text'],
    to: to ?? route.to,
  })),
];

/** What is wrong with the texts of a route, each with the text and the right one. */
export function* textFaults(reader: Reader, route: Route): Generator<{ fault: TextFault; text: Typed; right: string }> {
  for (const text of textsOf(route)) {
    const { faults, right } = judgeText(reader, { ...route, to: text.to }, text.text);
    for (const fault of faults) yield { fault, text, right };
  }
}

const LONGEST_SHOWN = 120;

export function textReport(
  reader: Reader,
  route: Route,
  message: string,
  fault: TextFault,
  { text, path, to }: Typed,
  right: string,
): Report {
  const hop = fault.hop === null ? '' : String(fault.hop + 1);
  const stated = text.length > LONGEST_SHOWN ? `${text.slice(0, LONGEST_SHOWN)}…` : text;
  const params = { hop, found: fault.found, right: fault.right || 'nothing', stated, whole: right || 'not known' };
  const report = routeReport(reader, { ...route, to }, message, 'route text', params);
  return {
    ...report,
    cells: [{ kind: 'route', id: route.id, path }],
    subjects: [route.id, ...path, hop],
  };
}

/** The text of the best way in place of the one that was typed. */
export function typeTheRightText(finding: Finding, reader: Reader): Fix[] {
  const route = reader.get('route', finding.about.id);
  const path = finding.cells[0]?.path ?? [];
  const [text] = route ? textsOf(route).filter((one) => one.path.join() === path.join()) : [];
  const right = route && text ? judgeText(reader, { ...route, to: text.to }, text.text).right : '';
  return route && right !== '' ? [{ label: `type ${right}`, changes: [set('route', route, path, right)] }] : [];
}
