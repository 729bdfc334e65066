import type { BlockMember } from '../model/block-member.js';
import type { ReservedBlock } from '../model/profile.js';
import { ASSUMED } from '../model/words.js';

/** What the program of a controller sets and sees of its communication module. */
const STATES: Record<string, BlockMember> = {
  listen: {
    order: 10,
    name: 'Listen',
    offset: 0,
    bits: 1,
    use: 'to listen',
    role: 'listens',
    signal: 'level',
    access: 'read and set',
    meaning: 'answers while it is set',
  },
  start: {
    order: 20,
    name: 'Start',
    offset: 1,
    bits: 1,
    use: 'to start',
    role: 'calls',
    signal: 'pulse',
    access: 'read and set',
    meaning: 'sets the connection up',
  },
  ready: {
    order: 30,
    name: 'Ready',
    offset: 16,
    bits: 1,
    use: 'interlock',
    access: 'read',
    meaning: 'the module has its settings',
  },
  up: { order: 40, name: 'Link up', offset: 17, bits: 1, use: 'status', access: 'read' },
  error: { order: 50, name: 'Error code', offset: 32, bits: 16, use: 'status', access: 'read' },
};

/** Settings that start values write. */
const settings = (order: number, name: string, offset: number, bits: number, meaning: string): BlockMember => ({
  order,
  name,
  offset,
  bits,
  use: 'settings',
  access: 'read and set',
  atStart: true,
  meaning,
});

/** What a communication module of a small controller keeps in its memory: 16 bytes, at one of several places. */
export const MODULE_BLOCK: ReservedBlock = {
  order: 10,
  name: 'Communication module',
  areaKind: 'memory',
  length: 128,
  firstStart: 3200,
  startStep: 128,
  source: ASSUMED,
  members: { ...STATES, settings: settings(60, 'Settings', 64, 64, 'written by the start values') },
};

/** One that is set up by the partner’s address and its own name, with the count of its characters before it: 32 bytes. */
export const NAMED_MODULE_BLOCK: ReservedBlock = {
  ...MODULE_BLOCK,
  length: 256,
  startStep: 256,
  members: {
    ...STATES,
    partner: settings(60, 'Partner address', 64, 32, 'one byte for each number'),
    name: settings(70, 'Own name', 96, 160, 'the count of its characters before them'),
  },
};
