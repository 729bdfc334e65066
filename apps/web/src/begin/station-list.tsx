import { plantFromText, type PlantOfText } from '@dialoga/core/hardware';
import { useDeferredValue, useMemo } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { useNavigate, useParams } from 'react-router';
import { newId } from '../api/new-id';
import { edit } from '../store/editing';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import { BoxButton } from '../theme/parts';
import { ListField } from './list-field';
import { Understood } from './parts';

const count = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`;
const EXAMPLE = [
  'CutterCtl\tbyte memory\t10.8.2.12/24',
  'BakeCtl\tregisters\t10.8.2.13',
  'Hall panel\toperator panel\t10.8.2.40',
  'Meter A\ttelemetry unit\tunit 11 on 9600 8E1',
  'CutterCtl → BakeCtl',
  '',
  'Station\tSlot\tOrder code\tDescription\tIn\tOwner',
  'CutterCtl\t1\tDI-16\tDigital input\t2\tCutterCtl',
].join('\n');

/** Stations from a pasted list, each with the ports and areas that its type begins with. */
export function StationList() {
  const { project: projectId = '' } = useParams();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const project = useStateOf((s) => s.project.project)!;
  const { control, handleSubmit, setValue } = useForm({ defaultValues: { text: '' } });
  const asked = useDeferredValue(useWatch({ control, name: 'text' }));
  const listed = useMemo(() => plantFromText(project, asked, newId), [project, asked]);

  function make({ text }: { text: string }) {
    const plant = plantFromText(project, text, newId);
    const { changes, exchanges, routes, problems, left } = plant;
    if (changes.length === 0 || dispatch(edit(made(plant), changes)) !== null) return;
    if (left.length > 0) {
      // What was not taken stays, to be put right; why stands under it.
      setValue('text', left.join('\n'));
      dispatch(projectSlice.actions.noticed(`${done(plant)}. What was not taken stays in the list.`));
      return;
    }
    if (problems.length > 0) dispatch(projectSlice.actions.noticed(`Not taken: ${problems.slice(0, 3).join(' · ')}`));
    if (exchanges === 0 && routes > 0) void navigate(`/p/${projectId}/routes`, { state: { table: 'Routes' } });
    else void navigate(`/p/${projectId}/${exchanges > 0 ? 'exchanges' : 'stations'}`);
  }
  const submit = handleSubmit(make);
  return (
    <form aria-label="A list of stations" onSubmit={(event) => void submit(event)}>
      <h2>A list of stations</h2>
      <p>a station a line: name, type, address; two names with an arrow are an exchange; a hardware list may follow</p>
      <Controller
        control={control}
        name="text"
        render={({ field: { value, onChange } }) => (
          <ListField
            aria-label="List of stations"
            rows={15}
            autoFocus
            aria-keyshortcuts="Control+Enter"
            onKeyDown={(event) => {
              if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) void submit();
            }}
            value={value}
            onText={onChange}
            placeholder={EXAMPLE}
          />
        )}
      />
      <Understood role="status">{wordsOf(listed)}</Understood>
      <BoxButton type="submit" isDisabled={listed.changes.length === 0}>
        {listed.changes.length === 0 ? 'Make the stations' : made(listed)}
      </BoxButton>
    </form>
  );
}

const made = (plant: PlantOfText): string => `Make ${counts(plant)}`;
const done = (plant: PlantOfText): string => `Made ${counts(plant)}`;

function counts({ stations, networks, modules, exchanges, routes }: PlantOfText): string {
  const parts = [
    [stations, 'station'],
    [networks, 'network'],
    [modules, 'module'],
    [exchanges, 'exchange'],
    [routes, 'route'],
  ] as const;
  return parts.flatMap(([n, one]) => (n > 0 ? [count(n, one)] : [])).join(', ');
}

function wordsOf({ stations, problems }: PlantOfText): string {
  if (problems.length > 2) return `${problems.slice(0, 2).join(' · ')} · and ${problems.length - 2} more`;
  if (problems.length > 0) return problems.join(' · ');
  return stations > 0 ? 'each station with its ports and areas as its type begins; Ctrl+Enter makes them' : '';
}
