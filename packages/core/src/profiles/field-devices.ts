import type { Profile, Speech } from '../model/profile.js';
import { ASSUMED } from '../model/words.js';

const profile = (
  id: string,
  order: number,
  name: string,
  limits: Record<string, number>,
  rest: Partial<Profile> = {},
): Profile => ({
  id,
  order,
  name,
  layout: {},
  views: {},
  words: {},
  limits: Object.fromEntries(Object.entries(limits).map(([key, value]) => [key, { value, source: ASSUMED }])),
  nameRule: { caseMatters: false, source: ASSUMED },
  ...rest,
});

const speech = (roles: Speech['roles'], media: Speech['media']): Speech => ({ roles, media, source: ASSUMED });

/** Gateways, couplers, telemetry, radio and what else stands between or around them. */
export const FIELD_DEVICES: Profile[] = [
  profile(
    'profile-coupler',
    70,
    'Coupler',
    { connections: 8 },
    {
      speaks: { cip: speech(['listens'], ['ethernet']), 'cyclic-ethernet-io': speech(['listens'], ['ethernet']) },
    },
  ),
  profile(
    'profile-memory-gateway',
    80,
    'Memory gateway',
    { connections: 16, nodes: 32 },
    {
      speaks: {
        'modbus-tcp': speech(['listens'], ['ethernet']),
        'modbus-rtu': speech(['calls'], ['serial line']),
      },
    },
  ),
  profile(
    'profile-passing-gateway',
    90,
    'Passing gateway',
    { connections: 16, nodes: 32 },
    {
      forwards: {
        units: { what: 'requests by unit', source: ASSUMED },
        telemetry: { what: 'requests by telemetry address', source: ASSUMED },
      },
    },
  ),
  profile(
    'profile-head',
    100,
    'Remote I/O head',
    { connections: 4 },
    {
      speaks: { 'cyclic-ethernet-io': speech(['listens'], ['ethernet']) },
    },
  ),
  profile(
    'profile-telemetry',
    110,
    'Telemetry unit',
    { connections: 2 },
    {
      presets: { unit: { field: 'unit', value: '247', source: ASSUMED } },
      speaks: {
        dnp3: speech(['listens'], ['ethernet', 'serial line']),
        'modbus-rtu': speech(['listens'], ['serial line']),
      },
    },
  ),
  profile(
    'profile-radio-base',
    120,
    'Radio base',
    { nodes: 16 },
    {
      speaks: {
        'modbus-rtu': speech(['listens'], ['serial line']),
        'radio-mirror': speech(['listens'], ['radio']),
      },
      radioBlocks: {
        di: { kind: 'digital input', table: 'discrete inputs', first: 1, stride: 16, source: ASSUMED },
        ai: { kind: 'analogue input', table: 'input registers', first: 1, stride: 4, source: ASSUMED },
        do: { kind: 'digital output', table: 'coils', first: 1, stride: 16, source: ASSUMED },
      },
    },
  ),
  profile('profile-radio-unit', 130, 'Radio unit', {}),
  profile('profile-simulator', 140, 'Simulator', { tags: 2000 }, { nameRule: { caseMatters: true, source: ASSUMED } }),
  profile('profile-tag-server', 150, 'Tag server', { tags: 5000 }),
  profile(
    'profile-router',
    160,
    'Router',
    { connections: 64 },
    {
      forwards: {
        requests: { what: 'requests', source: ASSUMED },
        service: { what: 'service access', source: ASSUMED },
      },
    },
  ),
  profile('profile-workstation', 170, 'Workstation', {}),
];
