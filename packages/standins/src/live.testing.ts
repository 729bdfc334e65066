import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readProject } from '@dialoga/core/entry';
import type { Project } from '@dialoga/core/model';
import type { Link, Plant } from '@dialoga/core/rehearse';

/** The demo as agreed. */
export function demo(): Project {
  const file = join(__dirname, '../../../demo/kestrel-quay-as-agreed.dialoga.json');
  const read = readProject(readFileSync(file, 'utf8'));
  if (!read.ok) throw new Error('the demo cannot be read');
  return read.project;
}

/** Lets a plant run, 10 ms at a time, until something is so; between the steps what came over sockets is taken. */
export async function until(plant: Plant, is: () => boolean, most = 20_000): Promise<void> {
  for (let step = 0; step < most; step++) {
    if (is()) return;
    plant.advance(10_000);
    await new Promise((resolve) => setImmediate(resolve));
  }
  throw new Error('it never came');
}

export const linkOf = (plant: Plant, lane: string): Link => plant.links.find((link) => link.lane === lane)!;
