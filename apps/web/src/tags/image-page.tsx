import { childrenOf } from '@dialoga/core/model';
import { besideInputs, type ImageRemedy } from '@dialoga/core/tags';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { NothingHere } from '../page/nothing-here';
import type { GridColumn } from '../grid/types';
import { SmallGrid } from '../grid/small-grid';
import { useEdits } from '../store/use-edits';
import { useStateOf } from '../store/store';
import { Empty, PageTitle, Scroll, Section, SectionHead, TextButton } from '../theme/parts';

const COLUMNS: readonly GridColumn[] = [
  { id: 'range', title: 'Place', track: 'minmax(160px, 0.6fr)' },
  { id: 'bits', title: 'Bits', track: '70px', right: true },
  { id: 'writers', title: 'Put there by', track: 'minmax(260px, 2fr)' },
];

const IMAGES = new Set(['input image', 'output image', 'memory']);

/** What puts data into each part of a controller's memory, and both ways out beside physical inputs. */
export function ImagePage() {
  const { project: projectId = '', station: id = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const station = project.get('station', id);
  const areas = useMemo(
    () =>
      childrenOf(project, 'area', id).flatMap((area) => {
        const found = IMAGES.has(area.kind) ? besideInputs(project, area.id) : null;
        return found && found.runs.length > 0 ? [{ area, found }] : [];
      }),
    [project, id],
  );
  if (!station) {
    return (
      <NothingHere what="There is no such station." back={{ to: `/p/${projectId}/tags`, label: 'All stations' }} />
    );
  }
  const take = (label: string, remedy: ImageRemedy) => commit(label, [{ changes: remedy.changes, problem: null }]);
  return (
    <>
      <PageTitle>
        <h1>Images of {station.name}</h1>
        <p>what puts data into each part: modules, exchanges, simulators</p>
        <Link to={`/p/${projectId}/tags/${id}`} style={{ marginLeft: 'auto' }}>
          Its tags
        </Link>
      </PageTitle>
      <Scroll>
        {areas.length === 0 && <Empty>Nothing puts data into its memory yet.</Empty>}
        {areas.map(({ area, found }) => {
          const { simulated, moveSimulator, moveModules, runs } = found;
          return (
            <Section key={area.id} aria-label={area.name}>
              <SectionHead>
                <h2>{area.name}</h2>
                <p>
                  {simulated &&
                    `${simulated.station} fills ${simulated.range}, ${simulated.bits / 8} bytes, ${
                      simulated.overlaps ? 'where others put data, too' : 'beside everything else'
                    }`}
                </p>
              </SectionHead>
              {simulated?.overlaps && (
                <ul>
                  {moveSimulator && (
                    <li>
                      the simulator moves to {moveSimulator.to}, {moveSimulator.changes.length} places change{' '}
                      <TextButton
                        onPress={() => take(`${simulated.station} moves to ${moveSimulator.to}`, moveSimulator)}
                      >
                        Move the simulator
                      </TextButton>
                    </li>
                  )}
                  {moveModules && (
                    <li>
                      the modules’ range moves to {moveModules.to}
                      {moveModules.bound.length > 0
                        ? `; bound to the old range: ${moveModules.bound.join('; ')}`
                        : '; nothing is bound to the old range'}{' '}
                      <TextButton onPress={() => take(`Modules move to ${moveModules.to}`, moveModules)}>
                        Move the modules
                      </TextButton>
                    </li>
                  )}
                </ul>
              )}
              <SmallGrid
                label={`What puts data into ${area.name}`}
                columns={COLUMNS}
                rows={runs.map((run) => ({
                  id: run.range,
                  height: 22,
                  cells: [
                    { text: run.range, mono: true },
                    { text: String(run.bits), right: true },
                    { text: run.writers.join(' · '), differs: run.writers.length > 1 },
                  ],
                }))}
                onEdit={() => undefined}
              />
            </Section>
          );
        })}
      </Scroll>
    </>
  );
}
