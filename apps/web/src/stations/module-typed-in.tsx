import { childrenOf, type Station } from '@dialoga/core/model';
import { copiesOfModule, followUpModule } from '@dialoga/core/told';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useStateOf } from '../store/store';
import { Section, SectionHead, TextButton } from '../theme/parts';
import { CopiesList, isSo } from '../wiring/copies-list';

/** Where else the slots and order codes of a station's modules are entered, at which controllers. */
export function ModuleTypedIn({ station }: { station: Station }) {
  const { project: projectId = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const modules = childrenOf(project, 'rack', station.id).flatMap((rack) => childrenOf(project, 'module', rack.id));
  const copies = modules.flatMap((module) => copiesOfModule(project, module));
  const [all, setAll] = useState(false);
  const wrong = copies.filter((c) => !isSo(c));
  const shown = all ? copies : wrong;
  if (copies.length === 0) return null;
  return (
    <Section aria-label="Also entered at">
      <SectionHead>
        <h2>Also entered at</h2>
        <p>
          {wrong.length === 0
            ? `${copies.length} slots and order codes are entered as they are`
            : `${wrong.length} of ${copies.length} ${wrong.length === 1 ? 'differs' : 'differ'}`}
        </p>
        {copies.length > wrong.length && (
          <TextButton aria-expanded={all} onPress={() => setAll(!all)}>
            {all ? 'Show those that differ' : 'Show all to tick'}
          </TextButton>
        )}
      </SectionHead>
      <CopiesList
        copies={shown}
        projectId={projectId}
        follow={(copy) => {
          const landing = project.get('landing', copy.cell.id);
          const module = landing && project.get('module', landing.module);
          return module ? followUpModule(project, module, copy) : [];
        }}
      />
    </Section>
  );
}
