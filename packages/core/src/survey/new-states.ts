import { childrenOf, inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import { contains, parseIpv4, parseSubnet, type Subnet } from '../wiring/ipv4.js';
import { subnetFor } from '../wiring/ledger.js';
import { plainFact, type Fact } from './facts.js';
import type { PlannedDevice } from './planned-devices.js';

/** Addresses that a computer gives itself where nobody gives it one. [published: RFC 3927, section 2.1] [from memory] */
const LINK_LOCAL = parseSubnet('169.254.0.0/16');

/** A fact that says that nobody set the device for this plan yet. */
export interface NewState {
  fact: Fact;
  words: string;
}

/** The subnets of a plan, read once for all that is found. */
export const subnetsOf = (project: Project): Subnet[] =>
  inOrder(project, 'network')
    .filter(({ kind }) => kind === 'ethernet')
    .flatMap((network) => subnetFor(network, childrenOf(project, 'port', network.id)) ?? []);

/**
 * In which of the states of a new device one is, in words: as it left the factory, or as another plan set it. `planned`: what it is
 * taken for; null: for nothing.
 */
export function newStates(
  project: Project,
  subnets: readonly Subnet[],
  facts: Partial<Record<Fact, string>>,
  planned: PlannedDevice | null,
): NewState[] {
  const states: NewState[] = [];
  const say = (fact: Fact, words: string) => states.push({ fact, words });
  const { address } = facts;
  if (address !== undefined) {
    const read = parseIpv4(address.trim().split('/')[0]!);
    const preset = presetOf(project, planned, 'address');
    if (plainFact('address', address) === '') say('address', 'no address yet');
    else if (preset !== null && plainFact('address', preset) === plainFact('address', address))
      say('address', `${address} is the address that it leaves the factory with`);
    else if (read.ok && LINK_LOCAL.ok && contains(LINK_LOCAL.value, read.value))
      say('address', `${address} is a temporary address that it gave itself`);
    else if (read.ok && subnets.length > 0 && !subnets.some((subnet) => contains(subnet, read.value)))
      say('address', `${address} is in no network of this project`);
  }
  if (facts.deviceName === '' && (planned?.facts.deviceName ?? '') !== '') say('deviceName', 'no device name yet');
  for (const fact of ['unit', 'node', 'telemetry'] as const) {
    const found = plainFact(fact, facts[fact] ?? '');
    const usual = presetOf(project, planned, fact) ?? FACTORY[fact];
    if (found === usual && planned && plainFact(fact, planned.facts[fact]) !== found)
      say(fact, `${WORDS[fact]} ${found} is what such devices leave the factory with`);
  }
  return states;
}

/** Where the type says nothing else. [common practice] */
const FACTORY = { unit: '1', node: '126', telemetry: '0' } as const;
const WORDS = { unit: 'unit', node: 'node', telemetry: 'telemetry address' } as const;

function presetOf(project: Project, planned: PlannedDevice | null, field: string): string | null {
  const profile = planned?.station.profile ? project.get('profile', planned.station.profile) : undefined;
  return Object.values(profile?.presets ?? {}).find((preset) => preset.field === field)?.value ?? null;
}
