import { apply, type ChangeSet } from '@dialoga/core/change';
import { CheckEngine, fixesOf } from '@dialoga/core/check';
import type { Finding } from '@dialoga/core/finding';
import type { Kind, Project } from '@dialoga/core/model';
import { kestrelQuay } from './kestrel-quay.js';

const AGREED = kestrelQuay(true);
const BEFORE = new CheckEngine(AGREED);
const place = (area: string, view: string, number: number, rest: object = {}) => ({ area, view, number, ...rest });

/** Twenty slips that people make, by hand in the agreed demo: the cell, what is typed there, and the rule that names it. */
const SLIPS: readonly (readonly [kind: Kind, id: string, path: string, typed: unknown, code: string])[] = [
  ['end', 'duty-plant', 'told.duty-skid.address', '10.48.10.14', 'ADR 13'],
  ['end', 'temperatures-skidctl', 'told.temperatures-plantctl.slot', '1', 'ADR 13'],
  ['end', 'roof-plantctl', 'told.roof-roofbase.unit', '22', 'ADR 13'],
  ['end', 'evaporators-plantctl', 'told.evaporators-evaphead.name', 'evaphead', 'ADR 13'],
  ['port', 'port-meter2-meter-line', 'unit', 13, 'ADR 8'],
  ['port', 'port-meter1-meter-line', 'serial', '9600 8O1', 'LIN 1'],
  ['port', 'port-skidctl', 'mask', '255.255.0.0', 'ADR 4'],
  ['port', 'port-brinertu', 'address', '10.48.11.31', 'ADR 3'],
  ['port', 'port-roofa-roof-radio', 'radio.id', '22', 'LIN 8'],
  ['claim', 'status-plant', 'toldPlace', 'w1259', 'POS 1'],
  ['claim', 'status-skid', 'place', place('skidctl-registers', 'w', 1262), 'POS 1'],
  ['claim', 'dock-states-plantctl', 'slot', 3, 'DIR 7'],
  ['claim', 'store-temperatures-controlroom', 'length', { count: 11, unit: 16 }, 'SIZ 1'],
  ['claim', 'all-readings-plantctl', 'swap', null, 'TYP 5'],
  ['claim', 'meter1-readings-meterhub', 'direction', 'writes', 'DIR 1'],
  ['tag', 'tag-plantctl-aisle-see-17', 'name', 'Aisle_see_17', 'NAM 4'],
  ['copy', 'copy-status', 'to', place('meterhub-memory', 'words', 890), 'POS 5'],
  ['landing', 'landing-plantctl-evap-5', 'accepted', '5.2', 'HWS 5'],
  ['exchange', 'evaporators', 'cadence', 10, 'TIM 8'],
  ['route', 'route-plant', 'stated', 'Plant LAN > 10.48.10.11', 'ROU 4'],
];

test.each(SLIPS)(
  '%s %s, %s: %j is named by %s at its cell, and the first fix takes it back',
  (kind, id, path, typed, code) => {
    const keys = path.split('.');
    const entity = AGREED.get(kind, id)!;
    const before = keys.reduce<unknown>((value, key) => (value as Record<string, unknown>)[key], entity);
    const slip: ChangeSet = {
      id: 'slip',
      label: 'a slip',
      changes: [
        { kind, id, path: keys, after: typed as never, ...(before === undefined ? {} : { before: before as never }) },
      ],
    };
    const now = edited(AGREED, slip);
    const fresh = [...new CheckEngine(now).findings.values()].filter(({ key }) => !BEFORE.findings.has(key));
    expect(fresh.map((finding) => finding.code)).toEqual([code]);
    expect(names(fresh[0]!, kind, id, keys)).toBe(true);
    const [fix] = fixesOf(fresh[0]!, now, [slip]);
    const mended = edited(now, { id: 'fix', label: fix!.label, changes: fix!.changes });
    expect(mended.get(kind, id)).toEqual(entity);
  },
);

function edited(project: Project, changes: ChangeSet): Project {
  const applied = apply(project, changes);
  if (!applied.ok) throw new Error(applied.refusal.sentence);
  return project.with(applied.entities);
}

const names = (finding: Finding, kind: Kind, id: string, path: readonly string[]): boolean =>
  finding.cells.some(
    (cell) => cell.kind === kind && cell.id === id && cell.path.every((key, i) => key === (path[i] ?? key)),
  );
