import type { Project } from '../model/project.js';
import type { End } from '../model/end.js';
import { parseIpv4 } from '../wiring/ipv4.js';
import { set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { tell, portOf, TOLD_WORDS, toldFields } from './told.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Kind } from '../model/kinds.js';
import { copiesInRoutes, followInRoute } from './copies-in-routes.js';
import { copiesInRows, followInRows } from './copies-in-rows.js';
import type { ToldFieldName } from '../model/words.js';
import type { Tick } from '../model/tick.js';

/** A place besides the port itself where one of its values has to be typed. */
export interface Copy {
  /** stable; what a tick names */
  id: string;
  cell: { kind: Kind; id: string; path: readonly string[] };
  /** the station that holds it, and in which exchange or port */
  holder: string;
  where: string;
  /** what is copied: `address`, `slot of the CPU` … */
  field: string;
  /** as it stands there, or the protocol's default */
  value: string;
  truth: string;
  state: 'as it is' | 'the default' | 'its former address' | 'another' | 'not told';
  tick: Tick | null;
}

/**
 * Every place that holds a copy of a port's address, TCP port or unit: ends that call it, ports that have it as gateway,
 * rows of tags that repeat it, texts of routes, and helper objects.
 */
export function copiesOf(project: Project, port: Port): Copy[] {
  const copies: Omit<Copy, 'tick' | 'id'>[] = [];
  for (const own of reachedBy(project, port)) {
    const exchange = project.get('exchange', own.exchange);
    if (!exchange) continue;
    for (const end of childrenOf(project, 'end', exchange.id)) {
      for (const told of toldFields(project, exchange, end)) {
        if (exchange.via || told.other.id !== own.id || told.truth === null || (told.optional && told.told === ''))
          continue;
        copies.push({
          cell: { kind: 'end', id: end.id, path: ['told', own.id, told.field] },
          holder: end.station,
          where: exchange.name,
          field: TOLD_WORDS[told.field],
          value: told.told,
          truth: told.truth,
          state: stateOf(told),
        });
      }
    }
  }
  // A coupler is no end of its area; each end was told about the coupler's port on its own side.
  for (const id of project.referrers('exchange', port.station)) {
    const exchange = project.get('exchange', id);
    for (const end of exchange ? childrenOf(project, 'end', id) : []) {
      if (project.get('port', end.port ?? '')?.network !== port.network) continue;
      for (const told of toldFields(project, exchange!, end)) {
        if (told.truth === null || (told.optional && told.told === '')) continue;
        copies.push({
          cell: { kind: 'end', id: end.id, path: ['told', told.other.id, told.field] },
          holder: end.station,
          where: exchange!.name,
          field: TOLD_WORDS[told.field],
          value: told.told,
          truth: told.truth,
          state: stateOf(told),
        });
      }
    }
  }
  for (const other of port.network ? childrenOf(project, 'port', port.network) : []) {
    const gateway = other.gateway.trim();
    if (gateway === '' || other.id === port.id) continue;
    const former = port.former.some((address) => same(address, gateway));
    if (!former && !same(port.address, gateway)) continue;
    copies.push({
      cell: { kind: 'port', id: other.id, path: ['gateway'] },
      holder: other.station,
      where: other.name || 'port',
      field: 'gateway',
      value: gateway,
      truth: port.address.trim(),
      state: former ? 'its former address' : 'as it is',
    });
  }
  return withTicks(project, [...copies, ...copiesInRows(project, port), ...copiesInRoutes(project, port)]);
}

/**
 * The ends that are reached at this port: those through it, and those of programs that run on its station and have no
 * address of their own.
 */
function reachedBy(project: Project, port: Port): End[] {
  const own = childrenOf(project, 'end', port.id);
  const guests = project
    .referrers('station', port.station)
    .filter((id) => project.get('station', id)?.runsOn === port.station);
  const lent = guests
    .flatMap((id) => childrenOf(project, 'end', id))
    .filter((end) => {
      const theirs = end.port ? project.get('port', end.port) : undefined;
      return end.port !== port.id && (theirs?.address ?? '').trim() === '';
    });
  return [...own, ...lent.filter((end) => portOf(project, end)?.id === port.id)];
}

function stateOf(told: ReturnType<typeof toldFields>[number]): Copy['state'] {
  if (told.same) return told.isDefault ? 'the default' : 'as it is';
  if (told.told === '') return 'not told';
  return told.former ? 'its former address' : 'another';
}

function same(a: string, b: string): boolean {
  const [x, y] = [parseIpv4(a), parseIpv4(b)];
  return x.ok && y.ok && x.value === y.value;
}

/** Somebody has seen this value stand there. */
export function tickCopy(project: Project, copy: Copy, id: string, name: string, at: string): Change[] {
  const known = [...project.all('tick')].find((tick) => tick.copy === copy.id);
  const tick: Tick = {
    id: known?.id ?? id,
    order: known?.order ?? orderAfter(project.all('tick')),
    copy: copy.id,
    value: copy.truth,
    name,
    at,
  };
  const change: Change = { kind: 'tick', id: tick.id, path: [], after: { ...tick } };
  return known ? [{ ...change, before: { ...known } }] : [change];
}

export function untickCopy(copy: Copy): Change[] {
  return copy.tick ? [{ kind: 'tick', id: copy.tick.id, path: [], before: { ...copy.tick } }] : [];
}

/** Types what is so where another value stands. Only ever on somebody's wish: it is another end's own claim. */
export function followUp(project: Project, copy: Copy): Change[] {
  const { kind, id, path } = copy.cell;
  if (kind === 'claim') return followInRows(project, copy);
  if (kind === 'route') return followInRoute(project, copy);
  if (kind === 'helper') {
    const helper = project.get('helper', id);
    return helper ? [set('helper', helper, path, copy.truth)] : [];
  }
  if (kind === 'port') {
    const port = project.get('port', id);
    return port ? [set('port', port, path, copy.truth)] : [];
  }
  const end = project.get('end', id);
  const [, other = '', field = ''] = path;
  return end ? [tell(end, other, field as ToldFieldName, copy.truth)] : [];
}

/** Copies with their ids, and with the tick of each that is of the value that is so now. */
export function withTicks(project: Project, copies: readonly Omit<Copy, 'id' | 'tick'>[]): Copy[] {
  const ticks = new Map([...project.all('tick')].map((tick) => [tick.copy, tick]));
  return copies.map((copy) => {
    const id = [copy.cell.kind, copy.cell.id, ...copy.cell.path].join(' ');
    const tick = ticks.get(id);
    return { ...copy, id, tick: tick && tick.value === copy.truth ? tick : null };
  });
}
