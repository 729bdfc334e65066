import { stationsFromLines, type ListedStations } from '@dialoga/core/fields';
import { useDeferredValue, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { newId } from '../api/new-id';
import { edit } from '../store/editing';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import { BoxButton } from '../theme/parts';
import { ListArea, Understood } from './parts';

const count = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`;
const EXAMPLE = [
  'CutterCtl\tbyte memory\t10.8.2.12/24',
  'BakeCtl\tregisters\t10.8.2.13',
  'Hall panel\toperator panel\t10.8.2.40',
  'Meter A\ttelemetry unit\tunit 11 on 9600 8E1',
].join('\n');

/** Stations from a pasted list, each with the ports and areas that its type begins with. */
export function StationList() {
  const { project: projectId = '' } = useParams();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const project = useStateOf((s) => s.project.project)!;
  const [text, setText] = useState('');
  const asked = useDeferredValue(text);
  const listed = useMemo(() => stationsFromLines(project, asked, newId), [project, asked]);

  function make() {
    const { changes, stations, problems } = stationsFromLines(project, text, newId);
    if (stations === 0 || dispatch(edit(`Make ${count(stations, 'station')}`, changes)) !== null) return;
    if (problems.length > 0) dispatch(projectSlice.actions.noticed(`Not taken: ${problems.slice(0, 3).join(' · ')}`));
    void navigate(`/p/${projectId}/stations`);
  }
  return (
    <form
      aria-label="A list of stations"
      onSubmit={(event) => {
        event.preventDefault();
        make();
      }}
    >
      <h2>A list of stations</h2>
      <p>
        name, type, address, one station a line; or a <Link to={`/p/${projectId}/hardware-list`}>hardware list</Link>{' '}
        with order codes
      </p>
      <ListArea
        aria-label="List of stations"
        rows={7}
        value={text}
        placeholder={EXAMPLE}
        spellCheck={false}
        onChange={(event) => setText(event.target.value)}
      />
      <Understood role="status">{wordsOf(listed)}</Understood>
      <BoxButton type="submit" isDisabled={listed.stations === 0}>
        {listed.stations === 0 ? 'Make the stations' : made(listed)}
      </BoxButton>
    </form>
  );
}

const made = ({ stations, networks }: ListedStations) =>
  `Make ${count(stations, 'station')}${networks > 0 ? `, ${count(networks, 'network')}` : ''}`;

function wordsOf({ stations, problems }: ListedStations): string {
  if (problems.length > 0) return problems.slice(0, 2).join(' · ');
  return stations > 0 ? 'each with its ports and areas as its type begins' : '';
}
