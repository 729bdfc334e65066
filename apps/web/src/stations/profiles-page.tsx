import { set } from '@dialoga/core/change';
import { childrenOf, inOrder, orderAfter, type Profile, type Project } from '@dialoga/core/model';
import {
  addFigure,
  editProfile,
  FIGURE_FORMS,
  newProfile,
  profileBlocks,
  profileFigures,
} from '@dialoga/core/profiles';
import { useMemo } from 'react';
import { Grid } from '../grid/grid';
import { newRow } from '../grid/new-row';
import type { GridColumn, GridRow } from '../grid/types';
import { useTable } from '../grid/use-table';
import { drop } from '../store/dropping';
import { newId } from '../api/new-id';
import { useAppDispatch, useStateOf } from '../store/store';
import styled from 'styled-components';
import { PageTitle, Section, SectionHead } from '../theme/parts';
import { colour } from '../theme/tokens';
import { BlockPartsGrid } from './block-parts-grid';

const COLUMNS: readonly GridColumn[] = [
  { id: 'profile', title: 'Profile', names: true, track: 'minmax(240px, 1.4fr)' },
  { id: 'what', title: 'What it says', track: 'minmax(220px, 1.2fr)' },
  { id: 'value', title: 'Value', track: 'minmax(160px, 1fr)' },
  { id: 'source', title: 'Source', track: 'minmax(220px, 1.6fr)' },
];

const SOURCE = 3;

/** Below the profiles, which keep the larger part. */
const Foot = styled(Section)`
  flex: none;
  max-height: 40%;
  overflow: auto;
  border-top: 1px solid ${colour.edge};
`;

const blocksOfAll = (project: Project) => inOrder(project, 'profile').flatMap(profileBlocks);

/** What is known of each type of station; every figure with its source. */
export function ProfilesPage() {
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const profiles = useMemo(() => inOrder(project, 'profile'), [project]);
  const blocks = blocksOfAll(project);
  const rows = useMemo(
    () => [
      ...profiles.flatMap((p) => rowsFor(p, childrenOf(project, 'station', p.id).length)),
      newRow(COLUMNS.length, 0, 'new profile', {
        begin: (now, _, text) => {
          const edits = [newProfile(newId(), orderAfter(inOrder(now, 'profile')), text)];
          return { label: `New profile ${text}`, edits };
        },
      }),
    ],
    [project, profiles],
  );
  const table = useTable({ label: 'Edit profiles', columns: COLUMNS, rows });
  return (
    <>
      <PageTitle>
        <h1>Profiles</h1>
        <p>what is known of each type of station, every figure with its source</p>
      </PageTitle>
      <Grid
        label="Profiles"
        main
        {...table}
        onKey={(event, at) => {
          const profile = project.get('profile', at.row);
          if (!profile || event.key !== 'Delete' || !event.ctrlKey) return false;
          dispatch(drop(`Delete the profile ${profile.name}`, 'profile', profile.id));
          return true;
        }}
      />
      {blocks.length > 0 && (
        <Foot aria-label="Parts of blocks">
          <SectionHead>
            <h2>Parts of blocks</h2>
            <p>what stands where in what a type takes of its memory</p>
          </SectionHead>
          <BlockPartsGrid label="Parts of what types take" blocksOf={blocksOfAll} />
        </Foot>
      )}
    </>
  );
}

function rowsFor(profile: Profile, stations: number): GridRow[] {
  const used = stations === 1 ? '1 station is of this type' : `${stations} stations are of this type`;
  const head: GridRow = {
    id: profile.id,
    height: 26,
    tone: 'main',
    edit: (now, column, text) => {
      const known = now.get('profile', profile.id);
      if (!known || column !== 0) return [];
      return [{ changes: [set('profile', known, ['name'], text.trim())], problem: null }];
    },
    cells: [{ text: profile.name, editable: true }, { text: used, muted: true }, null, null],
  };
  const figures = profileFigures(profile).map((figure, i): GridRow => ({
    id: `${profile.id} ${figure.id || `view${i}`}`,
    height: 22,
    tone: 'sub',
    edit: (now, column, text) => {
      const known = now.get('profile', profile.id);
      return known ? [editProfile(known, figure.id, column === SOURCE ? 'source' : 'value', text)] : [];
    },
    cells: [
      null,
      { text: figure.what },
      {
        text: figure.value,
        editable: figure.id !== '',
        ...(figure.value === '' ? { show: 'not set', muted: true } : {}),
        ...(figure.options ? { options: figure.options } : {}),
      },
      figure.source === null
        ? null
        : {
            text: figure.source,
            editable: true,
            ...(figure.source === '' ? { show: 'no source yet', muted: true } : {}),
          },
    ],
  }));
  const limit: GridRow = {
    id: `${profile.id} limit`,
    height: 22,
    tone: 'sub',
    edit: (now, _, text) => {
      const known = now.get('profile', profile.id);
      return known && text.trim() !== '' ? [addFigure(known, text, newId())] : [];
    },
    cells: [
      null,
      { text: '', show: 'more that it states', muted: true, editable: true, options: FIGURE_FORMS },
      null,
      null,
    ],
  };
  return [head, ...figures, limit];
}
