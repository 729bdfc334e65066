import { formatSpan } from '../../../place/format-address.js';
import { memoryOf } from '../../../place/memory.js';
import { sharedSpan } from '../../../lane/occupancy.js';
import { userOf } from '../../../lane/use-words.js';
import { simulatorOf } from '../../../tags/image/simulator-of.js';
import type { Area } from '../../../model/area.js';
import type { Context, Report } from '../../rule.js';

/** Outputs that a simulator reads, and that a real module is driven by as well: the first of each module. */
export function* drivenInTrial(
  area: Area,
  { reader, occupancy }: Pick<Context, 'reader' | 'occupancy'>,
): Generator<Report> {
  if (area.kind !== 'output image') return;
  const memory = memoryOf(reader, area.id);
  const uses = memory ? occupancy.inArea(area.id).filter((use) => use.takes) : [];
  const modules = uses.filter((use) => use.of === 'landing');
  const simulated = modules.length > 0 ? uses.filter((use) => simulatorOf(reader, use) !== null) : [];
  if (!memory || simulated.length === 0) return;
  for (const module of modules) {
    const use = simulated.find((one) => sharedSpan(one, module) !== null);
    const [sim, driven] = [use && simulatorOf(reader, use), userOf(reader, module)];
    const user = use && userOf(reader, use);
    if (!use || !sim || !driven || !user) continue;
    yield {
      message: 'driven',
      label: 'drives the plant',
      about: { kind: 'station', id: memory.station.id, name: memory.station.name },
      parties: [{ station: sim.id }, { station: memory.station.id }],
      cells: [user.cell, driven.cell],
      params: {
        a: memory.station.name,
        area: area.name,
        sim: sim.name,
        module: driven.name,
        range: formatSpan(memory, use.spans[0]!),
        shared: formatSpan(memory, module.spans[0]!),
      },
      subjects: [area.id, module.id, sim.id],
    };
  }
}
