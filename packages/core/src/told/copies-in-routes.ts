import { parseIpv4 } from '../wiring/ipv4.js';
import { set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { childrenOf, entriesInOrder, inOrder } from '../model/order.js';
import type { Network } from '../model/network.js';
import type { Port } from '../model/port.js';
import type { Project } from '../model/project.js';
import type { Route } from '../model/route.js';
import { linkAddress } from '../route/link-address.js';
import { readRouteText, routeFormOf, type RouteForm, type StatedHop } from '../route/route-text.js';
import type { Copy } from './copies.js';

type Found = Omit<Copy, 'id' | 'tick'>;

/** Texts of routes that name a port by its address or a former one, and helper objects that were given it. */
export function copiesInRoutes(project: Project, port: Port): Found[] {
  const network = port.network ? project.get('network', port.network) : undefined;
  if (!network) return [];
  const truth = linkAddress(network, port);
  const texts = inOrder(project, 'route').flatMap((route) => inTexts(project, route, network, port, truth));
  return [...texts, ...inHelpers(project, network, port, truth)];
}

function inTexts(project: Project, route: Route, network: Network, port: Port, truth: string): Found[] {
  const form = routeFormOf(project, route.from);
  const typed = [
    { text: route.stated, path: ['stated'], to: route.to },
    ...entriesInOrder(route.built?.permitted ?? {}).map(([key, { text, to }]) => ({
      text,
      path: ['built', 'permitted', key, 'text'],
      to: to ?? route.to,
    })),
  ];
  return typed.flatMap(({ text, path, to }): Found[] => {
    const read = readRouteText(text, form);
    const hop = read.ok ? read.value.find((one) => names(one, form, network, port, truth)) : undefined;
    if (!hop) return [];
    return [
      {
        cell: { kind: 'route', id: route.id, path },
        holder: route.from,
        where: `to ${project.get('station', to)?.name ?? ''}`,
        field: path[0] === 'stated' ? 'route text' : 'permitted text',
        value: hop.address,
        truth,
        state: same(hop.address, truth) ? 'as it is' : 'its former address',
      },
    ];
  });
}

/** Where ways are written as numbers, only an IP address is certain to be that of this port. */
function names(hop: StatedHop, form: RouteForm, network: Network, port: Port, truth: string): boolean {
  const way = hop.way === '' ? network.kind === 'ethernet' : hop.way.toLowerCase() === network.name.toLowerCase();
  const there = form.named ? way : parseIpv4(hop.address).ok;
  return there && [truth, ...port.former].some((address) => same(address, hop.address));
}

function inHelpers(project: Project, network: Network, port: Port, truth: string): Found[] {
  return inOrder(project, 'helper').flatMap((helper): Found[] => {
    const near = childrenOf(project, 'port', helper.station).some((one) => one.network === network.id);
    const typed = helper.address.trim();
    if (helper.standsFor !== port.station || !near || typed === '' || helper.presence === 'removed') return [];
    const former = port.former.some((address) => same(address, typed));
    return [
      {
        cell: { kind: 'helper', id: helper.id, path: ['address'] },
        holder: helper.station,
        where: `added as ${helper.drawnAs}`,
        field: 'placeholder station',
        value: typed,
        truth,
        state: same(typed, truth) ? 'as it is' : former ? 'its former address' : 'another',
      },
    ];
  });
}

/** Types what is so into the text, and leaves the rest of it as it was typed. */
export function followInRoute(project: Project, { cell, value, truth }: Copy): Change[] {
  const route = project.get('route', cell.id);
  if (!route) return [];
  const [field, , key = ''] = cell.path;
  const text = field === 'stated' ? route.stated : (route.built?.permitted[key]?.text ?? '');
  const alone = new RegExp(`(?<![\\w.])${value.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\w.])`, 'g');
  return [set('route', route, cell.path, text.replace(alone, truth))];
}

function same(a: string, b: string): boolean {
  const [x, y] = [parseIpv4(a), parseIpv4(b)];
  return x.ok && y.ok ? x.value === y.value : a.trim() !== '' && a.trim() === b.trim();
}
