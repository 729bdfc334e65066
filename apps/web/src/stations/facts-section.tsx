import { set } from '@dialoga/core/change';
import { editStation, firmwareText, takenFromText, type StationColumn } from '@dialoga/core/fields';
import { inOrder, PARTIES, ROLES, RUN_STATES, type Station } from '@dialoga/core/model';
import { profilesToChoose, replaceProfile, type Replacement } from '@dialoga/core/profiles';
import { useState } from 'react';
import styled from 'styled-components';
import { InlineInput } from '../forms/inline-input';
import { InlineSelect } from '../forms/inline-select';
import { useWrongCells } from '../findings/use-wrong-cells';
import { useStateOf } from '../store/store';
import { SectionHead } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';
import { formatWhen } from '../words/when';
import { rememberedName } from '../wiring/remembered-name';
import { ReplaceDialog } from './replace-dialog';
import { useEdits } from '../store/use-edits';

const List = styled.dl`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  column-gap: ${space[6]}px;
  margin: 0;
  > div {
    display: grid;
    grid-template-columns: 92px minmax(0, 1fr);
    align-items: baseline;
    min-height: 24px;
    border-bottom: 1px solid ${colour.hairline};
  }
  dt {
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
  dd {
    margin: 0;
    min-width: 0;
    overflow: hidden;
  }
  input {
    max-width: 100%;
  }
`;

/** What is stated of a station as a whole, to type into. */
export function FactsSection({ station }: { station: Station }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const wrong = useWrongCells('station');
  const [asked, setAsked] = useState<{ plan: Replacement; title: string } | null>(null);
  const put = (column: StationColumn, text: string) => {
    const made = editStation(project, station, column, text);
    const next =
      column === 'profile' && made.problem === null ? made.changes.find((c) => c.kind === 'station')?.after : undefined;
    if (next !== undefined && next !== station.profile) {
      const plan = replaceProfile(project, station, profilesToChoose(project).find((p) => p.id === next) ?? null);
      if (plan.lost.length + plan.converted.length + plan.rules.length > 0) {
        setAsked({ plan, title: `Another type for ${station.name}` });
        return;
      }
    }
    commit('Edit station', [made]);
  };
  const field = (title: string, column: StationColumn, value: string, placeholder: string, mono = false) => (
    <div>
      <dt>{title}</dt>
      <dd>
        <InlineInput
          label={title}
          value={value}
          placeholder={placeholder}
          mono={mono}
          differs={wrong(station.id, column)}
          onCommit={(text) => put(column, text)}
        />
      </dd>
    </div>
  );
  const host = station.runsOn ? (project.get('station', station.runsOn)?.name ?? '') : '';
  const profile = station.profile ? (project.get('profile', station.profile)?.name ?? '') : '';
  const seen = station.observed;
  return (
    <>
      <SectionHead>
        <h2>Identification</h2>
        <p>
          {host !== '' && `it runs on ${host}, so its addresses are those of ${host}; `}
          {seen ? `seen ${seen.state} by ${seen.by || 'somebody'}, ${formatWhen(seen.at)}` : 'state not recorded'}
        </p>
      </SectionHead>
      <List>
        {field('Roles', 'roles', station.roles.join(', '), ROLES[0])}
        {field('Type', 'typeText', station.typeText ?? '', 'not set')}
        {field('Acts as', 'actsAs', station.actsAs ?? '', 'nothing else')}
        {field('Order code', 'orderCode', station.orderCode ?? '', 'not set', true)}
        {field('Revision', 'revision', station.revision ?? '', 'not set', true)}
        {field('Firmware', 'firmware', firmwareText(station), 'not set', true)}
        {field('Scan time', 'scan', station.scan ? `${station.scan} ms` : '', 'not set', true)}
        {field('Runs on', 'runsOn', host, 'hardware of its own')}
        {field('Profile', 'profile', profile, inOrder(project, 'profile')[0]?.name ?? 'none')}
        {field('Supplier', 'supplier', station.supplier ?? '', 'who answers for it')}
        {field('Party', 'party', station.party, PARTIES[0])}
        {field('Taken from', 'takenFrom', takenFromText(station), 'this project')}
        {station.takenFrom && field('Newest there', 'newest', station.takenFrom.newest ?? '', 'not known', true)}
        {field('Access', 'guard', station.guard ?? '', 'not set')}
        {field('Remote access', 'fromOutside', station.fromOutside ?? '', 'not set')}
        {field('Comment', 'comment', station.comment ?? '', 'none')}
        <div>
          <dt>Seen</dt>
          <dd>
            <InlineSelect
              label="Seen"
              value={seen?.state ?? ''}
              options={[
                { value: '', text: 'not recorded' },
                ...RUN_STATES.map((state) => ({ value: state as string, text: state })),
              ]}
              onChoose={(state) => {
                const at = new Date().toISOString();
                const observed = state === '' ? null : { state, by: rememberedName() || 'not named', at };
                commit('What it does', [{ changes: [set('station', station, ['observed'], observed)], problem: null }]);
              }}
            />
          </dd>
        </div>
      </List>
      {asked && (
        <ReplaceDialog
          title={asked.title}
          plan={asked.plan}
          onClose={() => setAsked(null)}
          onTake={() => {
            commit(asked.title, [{ changes: [...asked.plan.changes], problem: null }]);
            setAsked(null);
          }}
        />
      )}
    </>
  );
}
