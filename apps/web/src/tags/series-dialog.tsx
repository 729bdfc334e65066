import { readTagContext, readTagField, tagFieldText } from '@dialoga/core/fields';
import { ACCESSES, childrenOf, orderAfter, type Access, type Station, type TagSeries } from '@dialoga/core/model';
import { planSeries, seriesChanges } from '@dialoga/core/tags';
import { useMemo, useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { Choice } from '../forms/choice';
import { AskDialog } from '../forms/ask-dialog';
import { newId } from '../api/new-id';
import { useStateOf } from '../store/store';
import { useEdits } from '../store/use-edits';
import { Code, Input } from '../theme/parts';

const SHOWN = 4;

/** The fields of the form, as typed. */
interface Asked {
  sample: string;
  count: string;
  type: string;
  place: string;
  access: Access | '';
}

const FIELDS = ['sample', 'count', 'type', 'place', 'access'] as const;

interface Props {
  station: Station;
  /** the series that is changed; none: a new one */
  series?: TagSeries;
  onClose: () => void;
}

/** A sample name and a count: what would be made, what collides, and what would go with what is bound to it. */
export function SeriesDialog({ station, series, onClose }: Props) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const as = {
    id: '',
    order: 0,
    station: station.id,
    name: '',
    type: series?.type ?? null,
    place: series?.place ?? null,
  };
  const { register, control, setValue } = useForm<Asked>({
    defaultValues: {
      sample: series?.sample ?? '',
      count: String(series?.count ?? 8),
      type: series ? tagFieldText(project, as, 'type') : 'BOOL',
      place: tagFieldText(project, as, 'place'),
      access: series ? (series.access ?? '') : 'read',
    },
  });
  const [sample, count, type, place, access] = useWatch({ control, name: FIELDS });
  const [id] = useState(() => series?.id ?? newId());
  const read = useMemo(() => {
    const context = readTagContext(project, station.id);
    const number = /^\d{1,6}$/.test(count.trim()) ? Number(count) : 0;
    const [typed, placed] = [readTagField('type', type, context), readTagField('place', place, context)];
    const problems = [
      number < 1 || number > 100_000 ? `“${count}” is not a valid count; write a whole number from 1 to 100000` : null,
      typed.problem,
      placed.problem,
    ].filter((problem) => problem !== null);
    const made: TagSeries = {
      ...(series ?? { id, order: orderAfter(childrenOf(project, 'series', station.id)), station: station.id }),
      sample: sample.trim(),
      count: Math.max(1, number),
      type: typed.value as TagSeries['type'],
      place: placed.value as TagSeries['place'],
      access: access || null,
    };
    return { made, plan: sample.trim() === '' ? null : planSeries(project, made), problems };
  }, [project, station, series, id, sample, count, type, place, access]);
  const { made, plan, problems } = read;
  const fresh = plan?.tags.filter((tag) => !tag.known && !tag.taken) ?? [];
  const taken = plan?.tags.filter((tag) => tag.taken) ?? [];
  const gone = plan?.gone ?? [];
  const fits = plan !== null && problems.length === 0 && !plan.noDigits;
  const word = series ? 'Update series' : `Make ${fresh.length} tags`;
  return (
    <AskDialog
      title={series ? `The series ${series.sample}` : `A series of ${station.name}`}
      take={fits && (fresh.length > 0 || series) ? word : null}
      onTake={() => {
        commit(series ? `Series ${sample}` : `Series ${sample}, ${fresh.length} tags`, [
          { changes: seriesChanges(project, made, plan!, newId), problem: null },
        ]);
        onClose();
      }}
      onClose={onClose}
      outcome={
        <>
          {problems.map((problem) => (
            <p key={problem}>{problem}</p>
          ))}
          {plan?.noDigits && <p>“{sample}” has no digits to count on: write the first name with its number.</p>}
          {plan && !plan.noDigits && (
            <table>
              <tbody>
                {preview(plan.tags.length).map((i, n) => (
                  <tr key={n}>
                    <td dir="auto">{i < 0 ? '…' : plan.tags[i]!.name}</td>
                    <td>
                      <Code>{i < 0 ? '' : plan.tags[i]!.address}</Code>
                    </td>
                    <td>
                      {i < 0
                        ? ''
                        : plan.tags[i]!.taken
                          ? 'another tag has this name'
                          : plan.tags[i]!.known
                            ? 'stays'
                            : 'new'}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
          {taken.length > 0 && (
            <p>
              {taken.length === 1 ? '1 name is' : `${taken.length} names are`} taken by other tags and left out:{' '}
              {taken
                .slice(0, SHOWN)
                .map((tag) => tag.name)
                .join(', ')}
              .
            </p>
          )}
          {gone.length > 0 && <p>{gone.length === 1 ? '1 tag goes' : `${gone.length} tags go`}:</p>}
          <ul>
            {gone.slice(0, SHOWN).map(({ tag, bound }) => (
              <li key={tag.id}>
                {tag.name}
                {bound.length > 0 && `, bound to ${bound.join(' and ')}`}
              </li>
            ))}
          </ul>
        </>
      }
    >
      <label>
        First name
        <Input autoFocus placeholder="Door_01" {...register('sample')} />
      </label>
      <label>
        Points
        <Input inputMode="numeric" {...register('count')} />
      </label>
      <label>
        Type
        <Input {...register('type')} />
      </label>
      <label>
        First address
        <Input placeholder="none" {...register('place')} />
      </label>
      <Choice
        label="Access"
        value={access}
        options={[{ value: '', text: 'not set' }, ...ACCESSES.map((one) => ({ value: one, text: one }))]}
        onChoose={(one) => setValue('access', one as Access | '')}
      />
    </AskDialog>
  );
}

/** The first three and the last of so many; −1 stands for those between. */
const preview = (count: number): number[] =>
  count <= SHOWN + 1 ? Array.from({ length: count }, (_, i) => i) : [0, 1, 2, -1, count - 1];
