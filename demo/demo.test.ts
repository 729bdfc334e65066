import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  apply,
  CheckEngine,
  diff,
  inOrderOfWork,
  plain,
  ruleOf,
  set,
  textOf,
  writeProject,
  type Finding,
  type Port,
  type Project,
} from '@dialoga/core';
import { readProject } from '@dialoga/core/entry';
import { hardwareList } from './hardware-list.js';
import { kestrelQuay } from './kestrel-quay.js';
import { skidList } from './skid-list.js';

const file = (name: string) => readFileSync(join(__dirname, name), 'utf8');
const findings = (agreed: boolean) => {
  const project = kestrelQuay(agreed);
  return inOrderOfWork(new CheckEngine(project).findings.values(), project).map((finding) => {
    const text = textOf(finding);
    return [finding.code, finding.severity, finding.lane ?? finding.about.id, ...text.says.map(plain)];
  });
};

test('the files are what the demo gives, and can be read', () => {
  expect(file('kestrel-quay.dialoga.json')).toBe(writeProject(kestrelQuay(false)));
  expect(file('kestrel-quay-as-agreed.dialoga.json')).toBe(writeProject(kestrelQuay(true)));
  expect(file('skid-list.tsv')).toBe(skidList());
  expect(file('hardware-list.csv')).toBe(hardwareList());
  expect(readProject(file('kestrel-quay.dialoga.json')).ok).toBe(true);
});

/** Characters of ten bits: common, and not what the standard asks for. No fault, and no remedy is needed. */
const ROOF_LINE = ['LIN 6', 'hint', 'roof-line', '19200 8N1'];

test('the seeded faults are found, once each, with both values', () => {
  expect(findings(false)).toEqual([
    ['POS 5', 'blocker', 'meterhub', 'copied to G890–G891', 'reads G800–G881'],
    ['DIR 4', 'blocker', 'evaphead', 'owner of Valves in slot 4', 'owner of Valves in slot 4'],
    ['HWS 5', 'blocker', 'evaphead', 'Heaters in slot 5, revision 4.6', 'accepts 5.2'],
    ['ADR 7', 'doubt', 'servicelaptop', 'first adapter is in 10.48.10.0/24, second adapter in 10.48.8.0/21'],
    ['ADR 1', 'blocker', 'plant-lan', 'EvapHead is at 10.48.10.45', 'DockPanel is at 10.48.10.45'],
    ['ADR 8', 'blocker', 'meter-line', 'unit address 13', 'unit address 13'],
    ROOF_LINE,
    ['LIN 8', 'blocker', 'roof-radio', '1 end unit', 'RoofA, RoofB: 2'],
    ['ADR 13', 'blocker', 'duty', 'told SkidCtl at 10.48.10.14, its former address', 'is at 10.48.10.12'],
    [
      'TYP 5',
      'blocker',
      'setpoints',
      'Set-points: writes REAL, high register first, no swap',
      'Setp: reads it, low register first, no swap',
    ],
    ['SIZ 1', 'blocker', 'pressures', 'Pressures: reads 6 words, %MW324–%MW329', 'Press: writes 5 words, w1264–w1268'],
    ['SIZ 2', 'blocker', 'store-temperatures', 'StoreTemp is INT ×12', 'StoreT is INT ×10'],
    ['DIR 3', 'blocker', 'door-counts', 'DoorCount: closed to others', 'DoorCounts: reads'],
    ['DIR 1', 'blocker', 'door-releases', 'Door releases: writes %MW508–%MW509', 'Releases: writes %MB116–%MB119'],
    [
      'SIZ 1',
      'blocker',
      'door-times',
      'Door times: reads 12 bytes, %MW512–%MW517',
      'Times: writes 14 bytes, %MB124–%MB137',
    ],
    [
      'TIM 3',
      'blocker',
      'meters',
      '4 requests, the first 9.2 ms request + 4.0 ms silence + 30.0 ms delay + 51.6 ms answer + 4.0 ms silence at 9600 8E1: 395 ms; cadence 250 ms',
    ],
    [
      'POS 1',
      'blocker',
      'all-readings',
      'MeterReadings: asks MeterHub for G1600, 80 words',
      'Readings: writes G800–G879',
    ],
    ['DIR 9', 'doubt', 'evaporators', 'PlantCtl, EvapHead: not decided'],
    ['TYP 10', 'blocker', 'panel-docktemp', 'Dock_Temperature is INT', 'DockTemp is REAL'],
    [
      'POS 2',
      'doubt',
      'panel-storesetpoint',
      'Dock panel tags, StoreSetpoint puts data into %MW720',
      'Control room tags, StoreSetpoint puts data into %MW720',
    ],
    [
      'POS 2',
      'blocker',
      'trial',
      'module In 32, In 32 puts data into %IB0–%IB3',
      'Aisle trial, Aisle_See puts data into %IB2–%IB7',
    ],
    ['ADR 13', 'blocker', 'service', 'told telemetry address 0', 'telemetry address is 31'],
  ]);
});

test('as agreed, nothing is found and every lane agrees', () => {
  expect(findings(true)).toEqual([ROOF_LINE]);
  const engine = new CheckEngine(kestrelQuay(true));
  expect([...engine.laneResults.values()].map((r) => r.verdict)).toEqual(Array(46).fill('agreed'));
});

test('the two differ in the mended paths only', () => {
  const paths = diff(kestrelQuay(false), kestrelQuay(true)).map((c) => `${c.kind} ${c.id} ${c.path.join('.')}`);
  expect(paths.sort()).toEqual([
    'area plantctl-memory lastWord',
    'claim all-readings-plantctl toldPlace',
    'claim door-counts-plantctl open',
    'claim door-releases-dockctl direction',
    'claim door-times-plantctl length.count',
    'claim panel-docktemp-dockpanel length.count',
    'claim panel-docktemp-dockpanel type.base',
    'claim pressures-skid length.count',
    'claim setpoints-plant swap',
    'claim store-temperatures-skidctl type.count',
    'claim trial-see-plantctl place.number',
    'copy copy-status to.number',
    'end duty-plant told.duty-skid.address',
    'end service-servicelaptop told.service-brinertu.telemetry',
    'exchange evaporators onLoss',
    'exchange meters cadence',
    'landing landing-plantctl-evap-4 role',
    'landing landing-plantctl-evap-5 accepted',
    'network roof-radio radio.endUnits',
    'port port-dockpanel address',
    'port port-dockpanel former',
    'port port-servicelaptop-loose address',
    'port port-servicelaptop-loose mask',
    'port port-watermeter-meter-line unit',
    'project project name',
  ]);
});

test('taking every proposed fix, and deciding what only people can, leads to the project as agreed', () => {
  let project = kestrelQuay(false);
  for (const { key } of inOrderOfWork(new CheckEngine(project).findings.values(), project)) {
    const finding = new CheckEngine(project).findings.get(key)!;
    const [fix] = ruleOf(finding.code).fixes?.(finding, project) ?? [];
    const changes = fix?.changes ?? decided(project, finding);
    const applied = apply(project, { id: 'f', label: '', changes });
    if (!applied.ok) throw new Error(applied.refusal.sentence);
    project = project.with(applied.entities);
  }
  expect(diff(project, kestrelQuay(true)).map((c) => c.id)).toEqual(['project']);
});

/** What only people can say: what the fans do, where the simulator may write, who has the last word. */
function decided(project: Project, { code, severity, cells }: Finding) {
  const set1 = (kind: 'exchange' | 'claim' | 'area', id: string, path: string[], value: unknown) => [
    set(kind, project.get(kind, id)!, path, value),
  ];
  if (code === 'LIN 6') return [];
  if (code === 'ADR 7') return otherSubnet(project.get('port', cells[0]!.id)!);
  if (code === 'POS 2' && severity === 'blocker') return set1('claim', 'trial-see-plantctl', ['place', 'number'], 42);
  if (code === 'POS 2') return set1('area', 'plantctl-memory', ['lastWord'], 'ControlRoom');
  const loss = { sinks: 'go to zero', source: 'is told by a status', back: 'wait for a release' };
  return set1('exchange', 'evaporators', ['onLoss'], loss);
}

/** What ADR 7 asks for and leaves to people: which subnet is right is theirs to say. */
const otherSubnet = (port: Port) => [
  set('port', port, ['address'], '192.168.7.2'),
  set('port', port, ['mask'], '255.255.255.0'),
];
