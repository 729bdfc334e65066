import { set } from '../change/make.js';
import type { Expectation } from '../model/expectation.js';
import type { HelperObject } from '../model/helper-object.js';
import { inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Route } from '../model/route.js';
import type { Station } from '../model/station.js';
import { EXPECTED_REACH, PRESENCES, TRAFFICS } from '../model/words.js';
import { changed, parseWhole, parseWord, refused, type FieldEdit } from '../text/field-edit.js';
import { portsOf } from '../route/ports-of.js';

export type RouteColumn = 'from' | 'to' | 'port' | 'traffic' | 'slot' | 'stated' | 'comment';
export type ExpectationColumn = 'from' | 'to' | 'traffic' | 'must' | 'reason';
export type HelperColumn = 'drawnAs' | 'address' | 'presence' | 'brings' | 'comment';

/** A station by its name, upper and lower case alike. */
export function stationNamed(project: Project, text: string): Station | undefined {
  const wanted = text.trim().toLowerCase();
  const all = inOrder(project, 'station');
  return all.find((s) => s.name === text.trim()) ?? all.find((s) => s.name.toLowerCase() === wanted);
}

function station(project: Project, text: string): Station | FieldEdit {
  const names = inOrder(project, 'station').map((s) => s.name);
  const found = stationNamed(project, text);
  const expected = `name one that is, as ${names.slice(0, 4).join(', ')}`;
  return found ?? refused({ found: `there is no station “${text.trim()}”`, expected });
}

/** `ControlRoom → PlantCtl`, also written with `to`, `>` or a comma: the two stations of a new route or expectation. */
export function readPair(project: Project, text: string): { from: Station; to: Station } | FieldEdit {
  const [from = '', to = '', ...more] = text.split(/\s*(?:→|->|>|,|\bto\b)\s*/i).map((part) => part.trim());
  if (from === '' || to === '' || more.length > 0) {
    return refused({
      found: `“${text.trim()}” names no two stations`,
      expected: 'write who asks and who is asked, as A → B',
    });
  }
  const [a, b] = [station(project, from), station(project, to)];
  if ('changes' in a) return a;
  if ('changes' in b) return b;
  return { from: a, to: b };
}

/** Typed text into one field of a route; the text that was typed for it is kept as it is. */
export function editRoute(project: Project, route: Route, column: RouteColumn, text: string): FieldEdit {
  const clean = text.trim();
  switch (column) {
    case 'from':
    case 'to': {
      const found = station(project, clean);
      if ('changes' in found) return found;
      const port = column === 'from' && found.id !== route.from ? [set('route', route, ['port'], null)] : [];
      return changed(set('route', route, [column], found.id), ...port);
    }
    case 'port': {
      if (clean === '' || clean === 'any') return changed(set('route', route, ['port'], null));
      const from = project.get('station', route.from);
      const ports = from ? portsOf(project, from) : [];
      const port = ports.find((p) => p.name.toLowerCase() === clean.toLowerCase() || p.address === clean);
      const expected = `its ports are ${ports.map((p) => p.name).join(', ') || 'none'}`;
      return port
        ? changed(set('route', route, ['port'], port.id))
        : refused({ found: `${from?.name ?? ''} has no port “${clean}”`, expected });
    }
    case 'traffic': {
      const traffic = parseWord(clean, TRAFFICS, 'kind of traffic');
      return traffic.ok ? changed(set('route', route, ['traffic'], traffic.value)) : refused(traffic);
    }
    case 'slot': {
      if (clean === '') return changed(set('route', route, ['slot'], null));
      const slot = parseWhole(clean, 0, 1000, 'a slot');
      return slot.ok ? changed(set('route', route, ['slot'], slot.value)) : refused(slot);
    }
    case 'stated':
      return changed(set('route', route, ['stated'], clean));
    case 'comment':
      return changed(set('route', route, ['comment'], clean || undefined));
  }
}

export function editExpectation(
  project: Project,
  expected: Expectation,
  column: ExpectationColumn,
  text: string,
): FieldEdit {
  const clean = text.trim();
  if (column === 'from' || column === 'to') {
    const found = station(project, clean);
    return 'changes' in found ? found : changed(set('expectation', expected, [column], found.id));
  }
  if (column === 'reason') return changed(set('expectation', expected, ['reason'], clean || undefined));
  const word =
    column === 'must' ? parseWord(clean, EXPECTED_REACH, 'expectation') : parseWord(clean, TRAFFICS, 'kind of traffic');
  return word.ok ? changed(set('expectation', expected, [column], word.value)) : refused(word);
}

export function editHelper(helper: HelperObject, column: HelperColumn, text: string): FieldEdit {
  const clean = text.trim();
  if (column === 'presence') {
    const presence = parseWord(clean, PRESENCES, 'presence');
    return presence.ok ? changed(set('helper', helper, ['presence'], presence.value)) : refused(presence);
  }
  const empty = column === 'drawnAs' || column === 'address' ? '' : undefined;
  return changed(set('helper', helper, [column], clean || empty));
}
