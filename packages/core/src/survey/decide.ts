import type { Change } from '../change/change.js';
import { set } from '../change/make.js';
import { addressOnPort } from '../create/address-on-port.js';
import { addressedChanges } from '../fields/port.js';
import type { FoundDevice } from '../model/found-device.js';
import type { Project } from '../model/project.js';
import type { FoundDecision } from '../model/words.js';
import type { FactDifference } from './differences.js';
import { FACT_WORDS, IDENTITY } from './facts.js';
import { plannedDevices, type PlannedDevice } from './planned-devices.js';
import type { Surveyed } from './survey-of.js';

/** Who decides; ids for what has to be made for it. */
export interface Deciding {
  by: string;
  newId: () => string;
}

type Decided = { ok: true; changes: Change[] } | { ok: false; sentence: string };
const no = (sentence: string): Decided => ({ ok: false, sentence });

/** A row with the one that it is exchanged with: they are decided together. */
export const together = (row: Surveyed, all: readonly Surveyed[]): Surveyed[] => {
  const other = row.swappedWith === null ? undefined : all.find(({ id }) => id === row.swappedWith);
  return other ? [row, other] : [row];
};

/** The plan was wrong: it takes what was found. */
export function adopt(project: Project, rows: readonly Surveyed[], deciding: Deciding): Decided {
  const changes: Change[] = [];
  const plannedOf = plannedBy(project);
  for (const row of rows) {
    const planned = plannedOf(row);
    if (!planned) return no('Nothing planned is like it: name the station that it is, or say that it is not ours.');
    const taken = [...row.differences, ...row.learnt].filter(({ found }) => found !== '' && found !== '0.0.0.0');
    const settles = row.differences.some((one) => taken.includes(one));
    if (!settles && (row.differences.length > 0 || row.states.length > 0))
      return no(`It has nothing that ${planned.station.name} could take over: it is the device that must change.`);
    for (const one of taken) {
      const adopted = adopting(project, planned, one, deciding);
      if (!adopted.ok) return adopted;
      changes.push(...adopted.changes);
    }
    changes.push(...decided(project, row, 'adopt', planned.station.id, deciding));
  }
  return { ok: true, changes };
}

/** What was found and nobody planned is taken over, of all that agree otherwise. */
export function adoptLearnt(project: Project, rows: readonly Surveyed[], deciding: Deciding): Change[] {
  const plannedOf = plannedBy(project);
  return rows.flatMap((row) => {
    const planned = row.state === 'agrees' ? plannedOf(row) : undefined;
    if (!planned) return [];
    return row.learnt.flatMap((one) => {
      const adopted = adopting(project, planned, one, deciding);
      return adopted.ok ? adopted.changes : [];
    });
  });
}

/** The device must change: what it has otherwise is set at it, and stays to be done until it is found so. */
export function correct(project: Project, rows: readonly Surveyed[], deciding: Deciding): Decided {
  const without = rows.find(({ station }) => station === null);
  if (without) return no('Nothing planned is like it: name the station that it is, or say that it is not ours.');
  return { ok: true, changes: rows.flatMap((row) => decided(project, row, 'correct', row.station, deciding)) };
}

/** Somebody is asked. */
export function ask(project: Project, rows: readonly Surveyed[], question: string, deciding: Deciding): Decided {
  if (question.trim() === '') return no('A question says what is asked, and of whom.');
  const changes = rows.flatMap((row) => {
    const found = project.get('found', row.id);
    return found
      ? [...decided(project, row, 'ask', row.station, deciding), set('found', found, ['question'], question.trim())]
      : [];
  });
  return { ok: true, changes };
}

/** It is no device of this project. */
export const notOurs = (project: Project, rows: readonly Surveyed[], deciding: Deciding): Decided => ({
  ok: true,
  changes: rows.flatMap((row) => decided(project, row, 'not ours', null, deciding)),
});

/** What must be done at a device so that it is as planned, in words. */
export function toCorrect({ differences, states }: Pick<Surveyed, 'differences' | 'states'>): string[] {
  return differences.map(({ fact, planned, found }) =>
    IDENTITY.includes(fact)
      ? `replace it: ${FACT_WORDS[fact]} ${planned} is planned, ${found} is there`
      : `set ${FACT_WORDS[fact]} ${planned}${found === '' || states.some((state) => state.fact === fact) ? '' : ` in place of ${found}`}`,
  );
}

function decided(
  project: Project,
  row: Surveyed,
  decision: FoundDecision,
  station: string | null,
  { by }: Deciding,
): Change[] {
  const found = project.get('found', row.id);
  if (!found) return [];
  const before: FoundDevice = found;
  return [
    ...(before.decision === decision ? [] : [set('found', found, ['decision'], decision)]),
    ...((before.station ?? null) === station ? [] : [set('found', found, ['station'], station)]),
    ...(before.decidedBy === by ? [] : [set('found', found, ['decidedBy'], by)]),
  ];
}

/** The planned device that each row is taken for. */
function plannedBy(project: Project): (row: Surveyed) => PlannedDevice | undefined {
  const all = new Map(plannedDevices(project).map((one) => [`${one.station.id} ${one.port?.id ?? ''}`, one]));
  return ({ station, port }) => all.get(`${station ?? ''} ${port ?? ''}`);
}

function adopting(
  project: Project,
  planned: PlannedDevice,
  { fact, found }: FactDifference,
  { newId }: Deciding,
): Decided {
  const cell = planned.cells[fact];
  const entity = cell && project.get(cell.kind, cell.id);
  if (!cell || !entity) return { ok: true, changes: [] };
  if (fact === 'address' && planned.port) {
    const addressed = addressOnPort(project, planned.port, found, newId);
    if (!addressed.ok) return no(`${found} cannot be adopted: ${addressed.found}; ${addressed.expected}.`);
    return { ok: true, changes: addressedChanges(planned.port, addressed.value) };
  }
  if (fact !== 'unit' && fact !== 'slots') return { ok: true, changes: [set(cell.kind, entity, cell.path, found)] };
  const number = Number(found);
  if (!Number.isInteger(number) || number < 0)
    return no(`${FACT_WORDS[fact]} “${found}” cannot be adopted: it is no whole number.`);
  return { ok: true, changes: [set(cell.kind, entity, cell.path, number)] };
}
