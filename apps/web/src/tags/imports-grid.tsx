import { IMPORT } from '@dialoga/core/fields';
import { childrenOf } from '@dialoga/core/model';
import { EntityGrid } from '../entities/entity-grid';
import { useStateOf } from '../store/store';
import { SectionHead } from '../theme/parts';
import { Foot } from './foot';

/** What was brought in, newest first; when its source was changed since can be noted. */
export function ImportsGrid({ station }: { station: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const all = [...childrenOf(project, 'import', station)].reverse();
  if (all.length === 0) return null;
  return (
    <Foot aria-label="Imported files">
      <SectionHead>
        <h2>Imported files</h2>
      </SectionHead>
      <EntityGrid
        label="Imported files"
        of={IMPORT}
        rows={all}
        step="When a source was changed"
        height={24}
        strict
        onDrop={null}
      />
    </Foot>
  );
}
