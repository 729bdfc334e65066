import type { Port } from '@dialoga/core/model';
import { copiesOf, followUp } from '@dialoga/core/told';
import { numberText } from '@dialoga/core/wiring';
import { useStateOf } from '../store/store';
import { Code, SectionHead } from '../theme/parts';
import { CopiesList, isSo } from './copies-list';

/** Every other place that holds the address, TCP port, unit or another number or name of a port. */
export function AlsoTypedIn({ port, projectId }: { port: Port; projectId: string }) {
  const project = useStateOf((s) => s.project.project)!;
  const copies = copiesOf(project, port);
  const old = copies.filter((c) => !isSo(c)).length;
  return (
    <>
      <SectionHead>
        <h2>
          Also typed in: <Code>{port.address || numberText(port, 'unit') || 'no address'}</Code> of{' '}
          {project.get('station', port.station)?.name ?? ''}
        </h2>
        <p>
          {copies.length === 0
            ? 'nowhere'
            : old === 0
              ? 'none is old'
              : `${old} of ${copies.length} ${old === 1 ? 'differs' : 'differ'}`}
        </p>
      </SectionHead>
      {copies.length === 0 && <p>No other end and no other port holds a copy of it.</p>}
      <CopiesList copies={copies} projectId={projectId} follow={(copy) => followUp(project, copy)} />
    </>
  );
}
