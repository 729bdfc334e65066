import { apply } from '../../change/apply.js';
import type { Project } from '../../model/project.js';
import { busIo } from './bus-io.testing.js';
import { coupler } from './coupler.testing.js';
import { Dice } from './dice.testing.js';
import { instances } from './instances.testing.js';
import { memoryGateway } from './memory-gateway.testing.js';
import { namedTags } from './named-tags.testing.js';
import { panelTags } from './panel-tags.testing.js';
import { Plant } from './plant.testing.js';
import { radio } from './radio.testing.js';
import { references } from './references.testing.js';
import { remoteIo } from './remote-io.testing.js';
import { requests } from './requests.testing.js';
import { routed } from './routed.testing.js';
import { serialLine } from './serial-line.testing.js';
import { sharedVariables } from './shared-variables.testing.js';
import { telemetry } from './telemetry.testing.js';
import { bitTables } from './bit-tables.testing.js';
import { handedOn } from './handed-on.testing.js';
import { startSequence } from './start-sequence.testing.js';
import { subnets } from './subnets.testing.js';
import { tagServer } from './tag-server.testing.js';
import { texts } from './texts.testing.js';

/** Everything that a plant may hold, by name. */
export const PARTS = {
  requests,
  serialLine,
  memoryGateway,
  sharedVariables,
  coupler,
  remoteIo,
  panelTags,
  namedTags,
  telemetry,
  references,
  instances,
  busIo,
  radio,
  routed,
  bitTables,
  handedOn,
  startSequence,
  subnets,
  tagServer,
  texts,
} as const;
export type PartName = keyof typeof PARTS;

/** A project that is right: one truth, written out at each end in that end’s notation. */
export function rightPlant(seed: number, parts?: readonly PartName[]): Project {
  const dice = new Dice(seed);
  const names = parts ?? Array.from({ length: dice.from(1, 6) }, () => dice.pick(Object.keys(PARTS) as PartName[]));
  const plant = new Plant(dice);
  for (const name of names) {
    plant.begin();
    PARTS[name](plant);
  }
  return plant.made().reduce((project, changesOf) => {
    const made = apply(project, { id: 'made', label: '', changes: changesOf(project) });
    if (!made.ok) throw new Error(made.refusal.sentence);
    return project.with(made.entities);
  }, plant.project());
}
