import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { CheckEngine } from '@dialoga/core/check';
import type { Cell } from '@dialoga/core/finding';
import { KINDS } from '@dialoga/core/model';
import { readProject } from '@dialoga/core/entry';
import { cellFromLink, linkToCell, linkToFinding } from './link';
import { grouped } from './grouped';

const demo = (() => {
  const read = readProject(readFileSync(join(__dirname, '../../../../demo/kestrel-quay.dialoga.json'), 'utf8'));
  if (!read.ok) throw new Error('the demo cannot be read');
  return read.project;
})();
const findings = [...new CheckEngine(demo).findings.values()];
const splitLink = (link: string) => {
  const { pathname, search } = new URL(link, 'http://localhost');
  return { path: pathname, cell: cellFromLink(new URLSearchParams(search)) };
};

test('a link to any cell that a finding names leads back to that cell', () => {
  const cells = findings.flatMap((finding) => finding.cells);
  expect(cells.length).toBeGreaterThan(findings.length);
  for (const cell of cells) {
    const { path, cell: back } = splitLink(linkToCell(demo, 'pid', cell));
    expect(back).toEqual({ kind: cell.kind, id: cell.id, path: [...cell.path] });
    expect(path).toMatch(/^\/p\/pid\/(stations|exchanges|wiring|profiles|structures|tags|routes)/);
  }
});

test('a finding is shown where its first cell is; one without a cell, among the findings', () => {
  for (const finding of findings) {
    const [cell] = finding.cells;
    expect(linkToFinding(demo, 'pid', finding)).toBe(cell ? linkToCell(demo, 'pid', cell) : '/p/pid/findings');
  }
  const [one] = findings;
  expect(linkToFinding(demo, 'pid', { ...one!, cells: [] })).toBe('/p/pid/findings');
});

test.each<[string, Cell, string]>([
  ['a claim, on its sheet', { kind: 'claim', id: 'pressures-plant', path: ['length'] }, 'exchanges/duty'],
  ['a lane, on its sheet', { kind: 'lane', id: 'pressures', path: [] }, 'exchanges/duty'],
  ['what an end is told', { kind: 'end', id: 'duty-plant', path: ['told'] }, 'exchanges/duty'],
  ['what an end refers to', { kind: 'end', id: 'duty-plant', path: ['references', 'input'] }, 'exchanges/duty/running'],
  ['an exchange', { kind: 'exchange', id: 'duty', path: ['name'] }, 'exchanges'],
  ['how it runs', { kind: 'exchange', id: 'duty', path: ['cadence'] }, 'exchanges/duty/running'],
  ['a network', { kind: 'network', id: 'plant-lan', path: ['subnet'] }, 'wiring'],
  ['a port', { kind: 'port', id: 'port-skidctl', path: ['address'] }, 'stations/skidctl'],
  ['what is set on a line', { kind: 'port', id: 'port-skidctl', path: ['serial'] }, 'wiring'],
  ['an area', { kind: 'area', id: 'skidctl-registers', path: ['words'] }, 'stations/skidctl'],
  ['a station', { kind: 'station', id: 'skidctl', path: ['name'] }, 'stations'],
  ['a profile', { kind: 'profile', id: 'profile-plant', path: [] }, 'profiles'],
  ['a route', { kind: 'route', id: 'route-plant', path: ['stated'] }, 'routes/route-plant'],
  ['where a route leaves', { kind: 'route', id: 'route-plant', path: ['port'] }, 'routes'],
])('%s', (_, cell, path) => {
  expect(splitLink(linkToCell(demo, 'pid', cell)).path).toBe(`/p/pid/${path}`);
});

test('every kind has a place, also where what is named is gone', () => {
  for (const kind of KINDS) {
    expect(linkToCell(demo, 'pid', { kind, id: 'gone', path: ['name'] })).toMatch(/^\/p\/pid\/[a-z]/);
  }
});

test('an address bar that names nothing, or half of it, names no cell', () => {
  for (const search of ['', 'at=', 'at=claim', 'at=:x', 'other=claim:x']) {
    expect(cellFromLink(new URLSearchParams(search))).toBeNull();
  }
  expect(cellFromLink(new URLSearchParams('at=claim:x'))).toEqual({ kind: 'claim', id: 'x', path: [] });
});

test('findings are grouped under each of their keys, once under each, in their order', () => {
  const groups = grouped(findings, (f) => [f.code, f.code, f.severity]);
  expect([...groups.values()].reduce((sum, list) => sum + list.length, 0)).toBe(findings.length * 2);
  for (const [key, list] of groups) {
    expect(list).toEqual(findings.filter((f) => f.code === key || f.severity === key));
  }
});
