import { childrenOf } from '@dialoga/core/model';
import type { Strip } from '@dialoga/core/sheet';
import { useEffect, useState } from 'react';
import { useStateOf } from '../store/store';
import { SectionHead } from '../theme/parts';
import { checker } from '../worker/checker';
import { OccupancyStrip } from './occupancy-strip';

/** The areas of a station as strips, made anew after each check. */
export function OccupancySection({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const { ready, order, lanes } = useStateOf((s) => s.findings);
  const [strips, setStrips] = useState<Strip[]>([]);
  const areas = childrenOf(project, 'area', station)
    .map((a) => a.id)
    .join(' ');
  useEffect(() => {
    if (!ready) return;
    let open = true;
    void checker()
      .strips(areas === '' ? [] : areas.split(' '))
      .then((made) => open && setStrips(made));
    return () => {
      open = false;
    };
  }, [ready, order, lanes, areas, project]);
  if (strips.length === 0) return null;
  return (
    <>
      <SectionHead>
        <h2>Who uses what</h2>
        <p>above the line: who puts data in; below it: who takes data out; hatched: two writers; dashed: reserved</p>
      </SectionHead>
      {strips.map((strip) => (
        <OccupancyStrip key={strip.area} strip={strip} />
      ))}
    </>
  );
}
