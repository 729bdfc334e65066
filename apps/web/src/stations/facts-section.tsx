import { editField, STATION } from '@dialoga/core/fields';
import { RUN_STATES, type Station } from '@dialoga/core/model';
import { FieldInput } from '../entities/field-input';
import { typingNow } from '../entities/use-shown';
import { set } from '@dialoga/core/change';
import { profilesToChoose, replaceProfile, type Replacement } from '@dialoga/core/profiles';
import { useState } from 'react';
import styled from 'styled-components';
import { InlineSelect } from '../forms/inline-select';
import { useStateOf } from '../store/store';
import { SectionHead } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';
import { formatWhen } from '../words/when';
import { rememberedName } from '../api/remembered-name';
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

/** The facts, and what stands there while nothing is said. */
const FACTS: readonly (readonly [field: keyof typeof STATION.fields, empty: string])[] = [
  ['roles', 'controller'],
  ['typeText', 'not set'],
  ['actsAs', 'nothing else'],
  ['orderCode', 'not set'],
  ['revision', 'not set'],
  ['firmware', 'not set'],
  ['description', 'not set'],
  ['tool', 'not set'],
  ['scan', 'not set'],
  ['runsOn', 'hardware of its own'],
  ['profile', 'none'],
  ['supplier', 'who answers for it'],
  ['party', 'ours'],
  ['takenFrom', 'this project'],
  ['newest', 'not known'],
  ['guard', 'not set'],
  ['fromOutside', 'not set'],
  ['comment', 'none'],
];

/** What is stated of a station as a whole, to type into. */
export function FactsSection({ station }: { station: Station }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const [asked, setAsked] = useState<{ plan: Replacement; title: string } | null>(null);
  /** Another type may change what stands in its areas: that is shown first. */
  const putProfile = (text: string) => {
    const made = editField(STATION, 'profile', station, text, typingNow(project));
    const next = made.problem === null ? made.changes.find(({ path }) => path[0] === 'profile')?.after : undefined;
    if (next !== undefined && next !== station.profile) {
      const plan = replaceProfile(project, station, profilesToChoose(project).find((p) => p.id === next) ?? null);
      const others = station.profile === null ? 0 : plan.rules.length;
      if (plan.lost.length + plan.converted.length + others > 0) {
        setAsked({ plan, title: `Another type for ${station.name}` });
        return;
      }
    }
    commit('Edit station', [made]);
  };
  const shown = FACTS.filter(([field]) => STATION.fields[field].has?.(station, project) ?? true);
  const host = station.runsOn ? (project.get('station', station.runsOn)?.name ?? '') : '';
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
        {shown.map(([field, empty]) => (
          <div key={field}>
            <dt>{STATION.fields[field].title}</dt>
            <dd>
              <FieldInput
                of={STATION}
                row={station}
                field={field}
                empty={empty}
                {...(field === 'profile' ? { onCommit: putProfile } : {})}
              />
            </dd>
          </div>
        ))}
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
