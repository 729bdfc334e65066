import { put } from '@dialoga/core/change';
import { HELPER } from '@dialoga/core/fields';
import { childrenOf, orderAfter, type HelperObject, type Route } from '@dialoga/core/model';
import { wantedHelpers } from '@dialoga/core/route';
import { useMemo } from 'react';
import { EntityGrid } from '../entities/entity-grid';
import { useEdits } from '../store/use-edits';
import { newId } from '../api/new-id';
import { useStateOf } from '../store/store';
import { HelperNotes } from './helper-notes';
import { BoxButton, Section, SectionHead } from '../theme/parts';

/** What has to be drawn into the far station's own project for a route, and is taken out of it again. */
export function HelpersGrid({ route }: { route: Route }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const helpers = childrenOf(project, 'helper', route.id);
  const wanted = useMemo(() => wantedHelpers(project, route), [project, route]);
  const missing = wanted.filter(({ known }) => !known);
  const name = (id: string) => project.get('station', id)?.name ?? '';
  if (helpers.length === 0 && missing.length === 0) return null;
  return (
    <Section aria-label="Temporary placeholder stations">
      <SectionHead>
        <h2>Temporary placeholder stations</h2>
        <p>planned, then found there, then removed when the work is done</p>
      </SectionHead>
      {missing.map(({ station, standsFor, drawnAs, address }) => (
        <p key={standsFor}>
          {name(standsFor)} has to be added to the project of {name(station)}, as a {drawnAs} at {address}.{' '}
          <BoxButton
            onPress={() => {
              const helper: HelperObject = {
                id: newId(),
                order: orderAfter(helpers),
                station,
                standsFor,
                route: route.id,
                drawnAs,
                address,
                presence: 'planned',
              };
              commit('Plan a placeholder station', [{ changes: [put('helper', helper)], problem: null }]);
            }}
          >
            Plan it
          </BoxButton>
        </p>
      ))}
      {helpers.length > 0 && (
        <EntityGrid label="Placeholder stations" of={HELPER} rows={helpers} step="Edit placeholder stations" />
      )}
      {wanted.map((one) => (
        <HelperNotes key={one.standsFor} route={route} wanted={one} />
      ))}
    </Section>
  );
}
