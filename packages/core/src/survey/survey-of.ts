import type { FoundDevice } from '../model/found-device.js';
import { inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { FoundDecision } from '../model/words.js';
import { candidatesOf, namesOne, type Candidate } from './candidates.js';
import { differencesOf, factsOf, type FactDifference } from './differences.js';
import { FACT_WORDS, IDENTITY, plainFact, type Fact } from './facts.js';
import { newStates, subnetsOf, type NewState } from './new-states.js';
import { plannedDevices, PlannedIndex, type PlannedDevice } from './planned-devices.js';

/** agrees · to decide · or what was decided */
export type SurveyState = 'agrees' | 'to decide' | FoundDecision;

/** A planned station that a found device may be. */
export interface MayBe {
  station: string;
  name: string;
  reasons: readonly Fact[];
}

/** One found device beside the plan. */
export interface Surveyed {
  id: string;
  state: SurveyState;
  /** likeliest first */
  mayBe: readonly MayBe[];
  /** what it is taken for; null: nothing planned is like it */
  station: string | null;
  port: string | null;
  differences: readonly FactDifference[];
  /** found, and nothing planned of it */
  learnt: readonly FactDifference[];
  /** in which state of a new device it is */
  states: readonly NewState[];
  /** what says that it is another device */
  contradicts: readonly Fact[];
  /** another found device that has what this one should have, and the other way round */
  swappedWith: string | null;
  /** another found device that is taken for the same port */
  also: string | null;
  /** why it is to be decided, in a sentence; empty: it is not */
  why: string;
}

export interface Survey {
  rows: readonly Surveyed[];
  /** how many things are to be decided; two that are exchanged are one */
  toDecide: number;
}

/** Everything that was found beside the plan: what each is, what differs, and what is to be decided. */
export function surveyOf(project: Project): Survey {
  if (project.count('found') === 0) return { rows: [], toDecide: 0 };
  const index = new PlannedIndex(plannedDevices(project));
  const subnets = subnetsOf(project);
  const found = inOrder(project, 'found');
  const first = found.map((one) => {
    const facts = factsOf(one);
    const candidates = candidatesOf(index, facts);
    const planned = chosen(index, one, candidates);
    return { one, facts, candidates, planned };
  });
  const swaps = swapped(first);
  const taken = new Map<string, string>();
  const rows = first.map(({ one, facts, candidates, planned }): Surveyed => {
    const { differences, learnt } = planned ? differencesOf(facts, planned) : { differences: [], learnt: [] };
    const states = newStates(project, subnets, facts, planned);
    const key = planned ? `${planned.station.id} ${planned.port?.id ?? ''}` : '';
    const also = key === '' ? null : (taken.get(key) ?? null);
    if (key !== '' && also === null) taken.set(key, one.id);
    const row = {
      id: one.id,
      mayBe: candidates.map(({ planned: { station }, reasons }) => ({
        station: station.id,
        name: station.name,
        reasons,
      })),
      station: planned?.station.id ?? null,
      port: planned?.port?.id ?? null,
      differences,
      learnt,
      states,
      contradicts: differences.map(({ fact }) => fact).filter((fact) => IDENTITY.includes(fact)),
      swappedWith: swaps.get(one.id) ?? null,
      also,
    };
    const why = reasonFor(project, one, row);
    return { ...row, state: stateOf(one, row, why), why };
  });
  return { rows, toDecide: thingsToDecide(rows) };
}

/** What it was said to be; else the likeliest. */
function chosen(index: PlannedIndex, found: FoundDevice, candidates: readonly Candidate[]): PlannedDevice | null {
  if (found.decision === 'not ours') return null;
  if (!found.station) return candidates[0]?.planned ?? null;
  const known = candidates.find(({ planned }) => planned.station.id === found.station);
  return known?.planned ?? index.all.find(({ station }) => station.id === found.station) ?? null;
}

/** Pairs of which each has the address that the other should have. */
function swapped(
  all: readonly { one: FoundDevice; facts: Partial<Record<Fact, string>>; planned: PlannedDevice | null }[],
): ReadonlyMap<string, string> {
  const byAddress = new Map<string, (typeof all)[number]>();
  for (const row of all) {
    const address = plainFact('address', row.facts.address ?? '');
    if (address !== '') byAddress.set(address, row);
  }
  const pairs = new Map<string, string>();
  for (const row of all) {
    const should = plainFact('address', row.planned?.facts.address ?? '');
    const own = plainFact('address', row.facts.address ?? '');
    const other = should === '' || should === own ? undefined : byAddress.get(should);
    if (!other?.planned || other === row || other.planned.station === row.planned?.station) continue;
    if (plainFact('address', other.planned.facts.address) === own) pairs.set(row.one.id, other.one.id);
  }
  return pairs;
}

function reasonFor(project: Project, found: FoundDevice, row: Omit<Surveyed, 'state' | 'why'>): string {
  const { mayBe, station, differences, states, swappedWith, also } = row;
  const parts: string[] = [];
  if (station === null) parts.push('nothing that is planned is like it');
  if (swappedWith) {
    const other = project.get('found', swappedWith);
    parts.push(`it and ${other?.deviceName || other?.address || 'another'} have each other’s address`);
  } else if (!found.station && mayBe.length > 1) {
    const [a, b] = mayBe as [MayBe, MayBe];
    parts.push(`${wordsOf(a)} would be ${a.name}, ${wordsOf(b)} ${b.name}`);
  } else if (!found.station && mayBe.length === 1 && !namesOne(mayBe[0]!))
    parts.push(`only its ${facts(mayBe[0]!)} speaks for ${mayBe[0]!.name}`);
  const planned = new Map(differences.map((one) => [one.fact, one.planned]));
  for (const { fact, words } of states)
    parts.push(planned.has(fact) ? `${words}; ${planned.get(fact)} is planned` : words);
  for (const one of differences) {
    const told = states.some(({ fact }) => fact === one.fact) || (one.fact === 'address' && swappedWith !== null);
    if (!told) parts.push(`${FACT_WORDS[one.fact]} ${one.found || 'none'}, planned ${one.planned}`);
  }
  if (also) parts.push('another was found that is taken for the same');
  return parts.join('; ');
}

const facts = ({ reasons }: MayBe): string => reasons.map((fact) => FACT_WORDS[fact]).join(' and ');

const wordsOf = ({ reasons }: MayBe): string => `by ${FACT_WORDS[reasons[0]!]} it`;

function stateOf(
  { decision }: FoundDevice,
  { differences, states }: Pick<Surveyed, 'differences' | 'states'>,
  why: string,
): SurveyState {
  if (decision === 'adopt') return differences.length > 0 || states.length > 0 ? 'to decide' : 'adopt';
  if (decision) return decision;
  return why === '' ? 'agrees' : 'to decide';
}

function thingsToDecide(rows: readonly Surveyed[]): number {
  const open = rows.filter(({ state }) => state === 'to decide');
  const ids = new Set(open.map(({ id }) => id));
  return open.filter(({ id, swappedWith }) => !swappedWith || !ids.has(swappedWith) || id < swappedWith).length;
}
