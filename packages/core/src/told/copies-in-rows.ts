import { set } from '../change/make.js';
import type { Change } from '../change/change.js';
import type { Claim } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Project } from '../model/project.js';
import { formatStationText, parseStationText } from './station-text.js';
import { stationTemplate } from './station-text-of.js';
import type { Copy } from './copies.js';

/** Rows of a tag map that repeat the address of the station that they ask; rows of one text are one place. */
export function copiesInRows(project: Project, port: Port): Omit<Copy, 'id' | 'tick'>[] {
  return childrenOf(project, 'end', port.id).flatMap((own) => {
    const exchange = project.get('exchange', own.exchange);
    const others = exchange ? childrenOf(project, 'end', exchange.id).filter(({ id }) => id !== own.id) : [];
    return others.flatMap((end) => ofEnd(project, port, exchange!, end));
  });
}

function ofEnd(project: Project, port: Port, exchange: Exchange, end: End): Omit<Copy, 'id' | 'tick'>[] {
  const station = project.get('station', end.station);
  if (!station) return [];
  const template = stationTemplate(project, station);
  return [...rowsByText(project, end)].flatMap(([text, [first, ...more]]): Omit<Copy, 'id' | 'tick'>[] => {
    const read = parseStationText(template, text);
    if (!read.ok || !first) return [];
    const state = read.value.address === port.address.trim();
    const former = port.former.includes(read.value.address);
    return [
      {
        cell: { kind: 'claim', id: first.id, path: ['toldStation'] },
        holder: station.id,
        where: exchange.name,
        field: more.length === 0 ? 'a row' : `${more.length + 1} rows`,
        value: text,
        truth: formatStationText(template, { ...read.value, address: port.address.trim() }),
        state: state ? 'as it is' : former ? 'its former address' : 'another',
      },
    ];
  });
}

function rowsByText(project: Project, end: End): Map<string, Claim[]> {
  const rows = new Map<string, Claim[]>();
  for (const claim of childrenOf(project, 'claim', end.id)) {
    const text = claim.toldStation?.trim() ?? '';
    if (text === '') continue;
    const list = rows.get(text);
    if (list) list.push(claim);
    else rows.set(text, [claim]);
  }
  return rows;
}

/** In all rows of that end that have this text. */
export function followInRows(project: Project, { cell, value, truth }: Copy): Change[] {
  const end = project.get('end', project.get('claim', cell.id)?.end ?? '');
  const rows = end ? (rowsByText(project, end).get(value) ?? []) : [];
  return rows.map((claim) => set('claim', claim, ['toldStation'], truth));
}
