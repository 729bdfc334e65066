import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { apply, diff, set } from '@dialoga/core/change';
import { CheckEngine, inOrderOfWork, ruleOf, textOf } from '@dialoga/core/check';
import { writeProject } from '@dialoga/core/file';
import { plain, type Finding } from '@dialoga/core/finding';
import { formatOf, readTable, TAG_LIST, type TagList } from '@dialoga/core/formats';
import { childrenOf, type Port, type Project } from '@dialoga/core/model';
import { BECOMES, planImport, type ImportPlan } from '@dialoga/core/tags';
import { readProject } from '@dialoga/core/entry';
import { hardwareList } from './hardware-list.js';
import { kestrelQuay } from './kestrel-quay.js';
import { dockPanelTags, dockPanelTagsNext, skidRegisters } from './panel-points.js';
import { plantGlobalsText, plantGlobalsXml } from './plant-globals.js';
import readWorkbook from 'read-excel-file/node';
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

/** The tags of a file that lists them at once, by the format that recognises it. */
async function listedIn(name: string): Promise<TagList> {
  const text = file(name);
  const bytes = new TextEncoder().encode(text);
  const opening = { text, workbook: () => Promise.resolve([]), progress: () => undefined };
  const [sheet] = await formatOf(bytes, () => text).read(bytes, opening);
  const { content } = sheet!;
  if (content.holds !== 'tags' || !content.list.ok) throw new Error(`${name} lists no tags`);
  return content.list.value;
}

test('the tag lists are what the demo gives: the two formats of IEC hold the same tags, and those of PlantCtl', async () => {
  const project = kestrelQuay(false);
  expect(file('dock-panel-tags.csv')).toBe(dockPanelTags());
  expect(file('dock-panel-tags-next.csv')).toBe(dockPanelTagsNext());
  expect(file('plant-globals.st')).toBe(plantGlobalsText(project));
  expect(file('plant-globals.xml')).toBe(plantGlobalsXml(project));
  for (const list of [await listedIn('plant-globals.st'), await listedIn('plant-globals.xml')]) {
    const plan = planImport(project, 'plantctl', list, () => 'x');
    expect([list.faults, list.rows.length]).toEqual([[], childrenOf(project, 'tag', 'plantctl').length]);
    expect(whats(plan)).toEqual({ unchanged: list.rows.length });
  }
  const workbook = await readWorkbook(join(__dirname, 'skid-registers.xlsx'));
  expect(workbook.map(({ sheet, data }) => [sheet, data])).toEqual([['Registers', skidRegisters()]]);
});

/** How many rows of a list become what. */
function whats({ becomes }: ImportPlan): Record<string, number> {
  const counts: Record<string, number> = {};
  for (const what of becomes) counts[BECOMES[what]!] = (counts[BECOMES[what]!] ?? 0) + 1;
  return counts;
}

/** The panel’s list as it is understood once its misread column was corrected: ‘Typ’ is how a tag is shown. */
function panelList(text: string) {
  const table = readTable(text);
  if (!table.ok) throw new Error(table.found);
  const found = TAG_LIST.understand(table.value, false)!;
  expect(found.headings[found.columns.type!]).toBe('Typ');
  const list = TAG_LIST.read(table.value, found.heading, { ...found.columns, type: 4 }, 'comma');
  if (!list.ok) throw new Error(list.found);
  return list.value;
}

test('the panel’s list is what stands in the demo; next month’s changes four, drops two that are bound, brings three', () => {
  const project = kestrelQuay(false);
  const now = planImport(project, 'dockpanel', panelList(file('dock-panel-tags.csv')), () => 'x');
  expect([Object.keys(whats(now)), now.gone]).toEqual([['unchanged'], []]);
  const next = planImport(project, 'dockpanel', panelList(file('dock-panel-tags-next.csv')), () => 'x');
  expect([whats(next), next.gone.length]).toMatchObject([{ changed: 4, added: 3 }, 2]);
  expect(next.gone.map(({ tag, bound }) => [tag.name, bound])).toEqual([
    ['Lamp_Test', ['Dock panel tags, Lamp_Test']],
    ['Dock_Count_12', ['Dock panel tags, Dock_Count_12']],
  ]);
});

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
    [
      'ROU 4',
      'blocker',
      'route-plant',
      'typed: Plant LAN > 10.48.10.11',
      'the port of PlantCtl is on a module of its own; right is Plant LAN > 10.48.10.11 / rack > 0',
    ],
    [
      'ROU 5',
      'blocker',
      'route-plant-trend',
      'typed: Plant LAN > 10.48.10.11 / rack > 1',
      'slot 1 holds Ethernet, no CPU; right is Plant LAN > 10.48.10.11 / rack > 0',
    ],
    [
      'ROU 1',
      'blocker',
      'route-dock',
      'ServiceLaptop asks for program transfer',
      'DockCtl: stops at QuayLink: QuayLink is a coupler: it passes the data of its own coupler area, and no program transfer',
    ],
    ['ADR 13', 'blocker', 'duty', 'entered for SkidCtl: 10.48.10.14, its former address', 'is at 10.48.10.12'],
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
      '4 requests, the first 9.2 ms request + 4.0 ms silence + 30.0 ms delay + 51.6 ms answer + 4.0 ms silence at 9600 8E1: 395 ms; interval 250 ms',
    ],
    [
      'POS 1',
      'blocker',
      'all-readings',
      'MeterReadings: asks MeterHub for G1600, 80 words',
      'Readings: writes G800–G879',
    ],
    [
      'DIR 9',
      'doubt',
      'evaporators',
      'not decided: what the sinks do (PlantCtl, EvapHead), whether the source is told of it (PlantCtl, EvapHead) and how outputs come back when the link does',
    ],
    ['TYP 10', 'blocker', 'panel-docktemp', 'Dock_Temperature is INT', 'DockTemp is REAL'],
    [
      'POS 2',
      'doubt',
      'panel-storesetpoint',
      'Dock panel tags, StoreSetpoint puts data into %MW720',
      'Control room tags, StoreSetpoint puts data into %MW720',
    ],
    [
      'NAM 8',
      'blocker',
      'items-level17',
      'asks for Plnat.RoomLevel017',
      'there is no group “Plnat”; its groups are Plant, Skid; Plant is near: two letters are transposed',
    ],
    [
      'POS 2',
      'blocker',
      'trial',
      'module In 32, In 32 puts data into %IB0–%IB3',
      'Aisle trial, 16 points from Aisle_See_01 puts data into %IB2–%IB3',
    ],
    ['NAM 4', 'blocker', 'trial-see17', 'looks for Aisle_See_17', 'Aisle_see_17'],
    ['ADR 13', 'blocker', 'service', 'telemetry address entered: 0', 'telemetry address is 31'],
  ]);
});

test('as agreed, nothing is found and every lane agrees', () => {
  expect(findings(true)).toEqual([ROOF_LINE]);
  const engine = new CheckEngine(kestrelQuay(true));
  expect([...engine.laneResults.values()].map((r) => r.verdict)).toEqual(Array(446).fill('agreed'));
});

test('the two differ in the mended paths only', () => {
  const paths = diff(kestrelQuay(false), kestrelQuay(true)).map((c) => `${c.kind} ${c.id} ${c.path.join('.')}`);
  // The simulator’s points all move together.
  const moved = /^tag tag-plantctl-aisle-see-\d\d place\.number$/;
  expect(paths.filter((path) => moved.test(path))).toHaveLength(48);
  expect(paths.filter((path) => !moved.test(path)).sort()).toEqual([
    'area plantctl-memory lastWord',
    'claim all-readings-plantctl toldPlace',
    'claim door-counts-plantctl open',
    'claim door-releases-dockctl direction',
    'claim door-times-plantctl length.count',
    'claim items-level17-controlroom toldPlace',
    'claim panel-docktemp-dockpanel length.count',
    'claim panel-docktemp-dockpanel type.base',
    'claim pressures-skid length.count',
    'claim setpoints-plant swap',
    'claim store-temperatures-skidctl type.count',
    'copy copy-status to.number',
    'end duty-plant told.duty-skid.address',
    'end service-servicelaptop told.service-brinertu.telemetry',
    'exchange evaporators onLoss',
    'exchange meters cadence',
    'expectation route-dock-not ',
    'landing landing-plantctl-evap-4 role',
    'landing landing-plantctl-evap-5 accepted',
    'network roof-radio radio.endUnits',
    'port port-dockpanel address',
    'port port-dockpanel former',
    'port port-servicelaptop-loose address',
    'port port-servicelaptop-loose mask',
    'port port-watermeter-meter-line unit',
    'project project name',
    'route route-dock ',
    'route route-plant stated',
    'route route-plant-trend stated',
    'tag tag-plantctl-aisle-see-17 name',
  ]);
});

test('taking every proposed fix, and deciding what only people can, leads to the project as agreed', () => {
  let project = kestrelQuay(false);
  const engine = new CheckEngine(project);
  for (const { key } of inOrderOfWork(engine.findings.values(), project)) {
    const finding = engine.findings.get(key);
    // Mended with another: the panel that takes a REAL for an INT, and has it as a REAL in its list.
    if (!finding) continue;
    const [fix] = ruleOf(finding.code).fixes?.(finding, project) ?? [];
    const changes = fix?.changes ?? decided(project, finding);
    const applied = apply(project, { id: 'f', label: '', changes });
    if (!applied.ok) throw new Error(applied.refusal.sentence);
    project = project.with(applied.entities);
    engine.update(project, applied.entities);
  }
  expect(diff(project, kestrelQuay(true)).map((c) => c.id)).toEqual(['project']);
});

/** What only people can say: what the fans do, who has the last word. */
function decided(project: Project, { code, cells }: Finding) {
  const set1 = (kind: 'exchange' | 'area', id: string, path: string[], value: unknown) => [
    set(kind, project.get(kind, id)!, path, value),
  ];
  if (code === 'LIN 6') return [];
  if (code === 'ADR 7') return otherSubnet(project.get('port', cells[0]!.id)!);
  if (code === 'POS 2') return set1('area', 'plantctl-memory', ['lastWord'], 'ControlRoom');
  const loss = { sinks: 'go to zero', source: 'is told by a status', back: 'wait for a release' };
  return set1('exchange', 'evaporators', ['onLoss'], loss);
}

/** What ADR 7 asks for and leaves to people: which subnet is right is theirs to say. */
const otherSubnet = (port: Port) => [
  set('port', port, ['address'], '192.168.7.2'),
  set('port', port, ['mask'], '255.255.255.0'),
];
