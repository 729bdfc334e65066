import { addTag, editField, TAG } from '@dialoga/core/fields';
import { childrenOf, type Exchange, type Tag } from '@dialoga/core/model';
import { columnsOf, pathsOf, rowOf } from '../entities/entity-rows';
import { typingNow } from '../entities/use-shown';
import type { GridRow } from '../grid/types';
import { useTable } from '../grid/use-table';
import { COLUMN_SETS, SET_WORDS, type ColumnSet, type ShownColumn } from './tag-columns';
import { tagLook } from './tag-rows';
import { asksForTags, pointsOf } from '@dialoga/core/place';
import { addressAfterTag, pasteTags, readSample, seriesBySample } from '@dialoga/core/tags';
import { useDeferredValue, useEffect, useEffectEvent, useMemo, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { useGridLink } from '../findings/use-grid-link';
import { cellFromLink } from '../findings/link';
import { useWrongCells } from '../findings/use-wrong-cells';
import { rememberedName } from '../api/remembered-name';
import { NothingHere } from '../page/nothing-here';
import { useOwnPlace } from '../page/use-own-place';
import { Grid } from '../grid/grid';
import { newRow } from '../grid/new-row';
import { drop } from '../store/dropping';
import { newId } from '../api/new-id';
import { useAppDispatch, useStateOf } from '../store/store';
import { useEdits } from '../store/use-edits';
import { Empty, Input, PageTitle, TextButton } from '../theme/parts';
import { colour, space } from '../theme/tokens';
import { BringOut } from './bring-out';
import { GroupsGrid } from './groups-grid';
import { hasOwnAddresses } from './own-addresses';
import { ImportsGrid } from './imports-grid';
import { SeriesDialog } from './series-dialog';
import { SeriesGrid } from './series-grid';

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space[2]}px ${space[5]}px;
  padding: ${space[2]}px ${space[4]}px;
  border-bottom: 1px solid ${colour.hairline};
  input {
    width: 200px;
  }
  [aria-pressed='true'] {
    font-weight: 600;
    text-decoration: underline;
    text-underline-offset: 4px;
  }
  > span {
    display: flex;
    align-items: center;
    gap: ${space[4]}px;
    margin-left: auto;
  }
`;

const SETS = Object.keys(COLUMN_SETS) as ColumnSet[];

/** One station's tags, with its series and what was brought in. */
export function TagListPage() {
  const { project: projectId = '', station: id = '' } = useParams();
  const [search, nameHere] = useOwnPlace();
  const [, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const project = useStateOf((s) => s.project.project)!;
  const wrong = useWrongCells('tag');
  const commit = useEdits();
  const dispatch = useAppDispatch();
  const [asked, setAsked] = useState(false);
  const [typed, setTyped] = useState(search.get('name') ?? '');
  const filter = useDeferredValue(typed).toLowerCase();
  // The address names what is looked for, a moment after it was typed.
  const name = useEffectEvent((wanted: string) => {
    const params = new URLSearchParams(search);
    if (wanted === (params.get('name') ?? '')) return;
    if (wanted === '') params.delete('name');
    else params.set('name', wanted);
    nameHere(params);
  });
  useEffect(() => {
    const timer = setTimeout(() => name(typed), 300);
    return () => clearTimeout(timer);
  }, [typed]);
  const station = project.get('station', id);
  const set = shownSet(search);
  const linkOf = useGridLink();
  const tags = useMemo(() => childrenOf(project, 'tag', id), [project, id]);
  const fields: readonly ShownColumn[] = COLUMN_SETS[set];
  const columns = useMemo(() => columnsOf(TAG, fields), [fields]);
  const points = useMemo(
    () => (station && asksForTags(project, station) ? pointsOf(project, station) : null),
    [project, station],
  );
  // Made once for all that is filtered from them.
  const all = useMemo(() => {
    const shown = { of: TAG, columns: fields, project, wrong, look: tagLook(project), editing: typingNow };
    const paths = pathsOf(TAG, fields);
    return tags.map((tag) => ({ lower: tag.name.toLowerCase(), row: rowOf(tag, shown, paths) }));
  }, [project, tags, fields, wrong]);
  const rows = useMemo(() => {
    const shown = filter === '' ? all : all.filter(({ lower }) => lower.includes(filter));
    return [...shown.map(({ row }) => row), freshTag(id, fields)];
  }, [all, filter, id, fields]);
  const link = useMemo(() => linkOf(rows, true), [linkOf, rows]);
  const table = useTable({ label: 'Edit tags', columns, rows });
  if (!station) {
    return (
      <NothingHere what="There is no such station." back={{ to: `/p/${projectId}/tags`, label: 'All stations' }} />
    );
  }
  const to = (path: string) => `/p/${projectId}/${path}`;
  const maps = tagMapsOf(project, id);

  const tagAt = (row: string): Tag | undefined => {
    const of = rows.find((one) => one.id === row)?.of;
    return of && project.get('tag', of.id);
  };
  const choose = (next: ColumnSet) => {
    const params = new URLSearchParams(search);
    params.set('show', next);
    params.delete('at');
    setSearch(params, { replace: true });
  };
  return (
    <>
      <PageTitle>
        <h1>Tags of {station.name}</h1>
        <p>
          {tags.length === 1 ? '1 tag' : `${tags.length} tags`}
          {points &&
            `, ${points.bound.length} bound, ${points.notUsed.length} not used, ${points.open.length} unmatched`}
          {filter !== '' && `, ${rows.length - 1} with “${filter}” in their name`}
        </p>
      </PageTitle>
      <Tools role="toolbar" aria-label="Tags">
        {SETS.map((one) => (
          <TextButton key={one} aria-pressed={one === set} onPress={() => choose(one)}>
            {SET_WORDS[one]}
          </TextButton>
        ))}
        <Input
          aria-label="Names that contain"
          placeholder="Names that contain …"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <span>
          {maps.map((exchange) => (
            <Link key={exchange.id} to={to(`tags/${id}/with/${exchange.id}`)}>
              Match tags: {exchange.name}
            </Link>
          ))}
          {hasOwnAddresses(project, id) && <Link to={to(`tags/${id}/images`)}>Images</Link>}
          <TextButton onPress={() => setAsked(true)}>New series</TextButton>
          <TextButton onPress={() => void navigate(to(`tags/${id}/bring-in`))}>Import file</TextButton>
          <BringOut station={station} />
        </span>
      </Tools>
      {tags.length === 0 && (
        <Empty>
          {station.name} has no tags yet. Import its list as it is (CSV, XLSX, PLCopen XML or declarations of IEC
          61131-3), make a series from a sample name, or type the first below.
        </Empty>
      )}
      <Grid
        label={`Tags of ${station.name}`}
        main
        {...table}
        {...link}
        onPaste={(at, { text }) => {
          const samples = text.split(/\r\n?|\n/).flatMap((line) => (line.trim() === '' ? [] : [readSample(line)]));
          if (samples.length > 0 && samples.every((sample) => sample !== null)) {
            const { changes, made, problems } = seriesBySample(project, id, samples, newId);
            return commit(`Make ${made} tags`, [
              { changes, problem: problems.length > 0 ? problems.join(' · ') : null },
            ]);
          }
          const from = rows.findIndex((row) => row.id === at.row);
          const tags = rows.slice(Math.max(0, from)).flatMap(({ of }) => of?.id ?? []);
          const typed = fields.slice(at.column).map((c) => (c === 'bound' || c === 'from' ? null : c));
          const target = { tags, columns: typed };
          commit('Paste tags', [pasteTags(project, id, text, target, newId, rememberedName() || 'not named')]);
        }}
        fillText={({ row, column }, n) => {
          const [tag, field] = [tagAt(row), fields[column]];
          return tag && (field === 'place' || field === 'asks') ? addressAfterTag(project, tag, field, n) : null;
        }}
        onKey={(event, at) => {
          const tag = event.key === 'Delete' && event.ctrlKey ? tagAt(at.row) : undefined;
          if (!tag) return false;
          dispatch(drop(`Delete ${tag.name || 'a tag'}`, 'tag', tag.id));
          return true;
        }}
      />
      <GroupsGrid station={station} />
      <SeriesGrid station={id} />
      <ImportsGrid station={id} />
      {asked && <SeriesDialog station={station} onClose={() => setAsked(false)} />}
    </>
  );
}

const freshTag = (station: string, fields: readonly ShownColumn[]): GridRow =>
  newRow(fields.length, 0, 'new tag, or Door_01 × 20', {
    begin: (now, _, text) => {
      const sample = readSample(text);
      if (sample) {
        const { changes, made, problems } = seriesBySample(now, station, [sample], newId);
        return { label: `Make ${made} tags`, edits: [{ changes, problem: problems[0] ?? null }] };
      }
      const id = newId();
      return {
        label: 'Edit a tag',
        edits: [addTag(now, station, id, text)],
        then: (after, column, other) => {
          const [tag, field] = [after.get('tag', id), fields[column]];
          return tag && field ? [editField(TAG, field, tag, other, typingNow(after))] : [];
        },
      };
    },
  });

/** The set that the address names; a link to a cell shows the set that has its column. */
function shownSet(search: URLSearchParams): ColumnSet {
  const named = search.get('show') as ColumnSet | null;
  const set = named && SETS.includes(named) ? named : 'places';
  const cell = cellFromLink(search);
  const field = cell?.kind === 'tag' ? cell.path[0] : undefined;
  const has = (one: ColumnSet) => (COLUMN_SETS[one] as readonly string[]).includes(field ?? 'name');
  return has(set) ? set : (SETS.find(has) ?? set);
}

/** Tag maps in which the station asks others. */
function tagMapsOf(project: Parameters<typeof childrenOf>[0], station: string): Exchange[] {
  return childrenOf(project, 'end', station).flatMap((end) => {
    const exchange = project.get('exchange', end.exchange);
    return exchange?.kind === 'tag map' && end.calling === 'calls' ? [exchange] : [];
  });
}
