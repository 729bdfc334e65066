import type { End, Exchange, Project } from '@dialoga/core/model';
import { namesOtherPlace, shiftPage, type Shift, type Shifted } from '@dialoga/core/sheet';
import { useForm, useWatch } from 'react-hook-form';
import { Choice } from '../forms/choice';
import { Code, Input } from '../theme/parts';
import { AskDialog } from '../forms/ask-dialog';
import { InTheWay } from './in-the-way';

const SHOWN = 6;

interface Props {
  project: Project;
  exchange: Exchange;
  ends: readonly [left: End, right: End];
  onShift: (shift: Shift, station: string) => void;
  onClose: () => void;
}

/** Moves all addresses of a page by so many numbers: what comes of it is shown before anything is stored. */
export function ShiftDialog({ project, exchange, ends, onShift, onClose }: Props) {
  const name = (end: End) => project.get('station', end.station)?.name ?? 'a station that is gone';
  const choices = ends.flatMap((end, i): { value: string; text: string; end: End; what: Shifted }[] => [
    { value: `own ${i}`, text: `the addresses of ${name(end)}`, end, what: 'own' },
    ...(namesOtherPlace(exchange, end)
      ? [{ value: `told ${i}`, text: `the addresses entered at ${name(end)}`, end, what: 'told' as const }]
      : []),
  ]);
  const { register, control, setValue } = useForm({ defaultValues: { which: choices[0]!.value, by: '1' } });
  const [which, text] = useWatch({ control, name: ['which', 'by'] });
  const by = /^[+-]?\d{1,9}$/.test(text.trim()) ? Number(text) : 0;
  const choice = choices.find((c) => c.value === which) ?? choices[0]!;
  const shift = by === 0 ? null : shiftPage(project, choice.end, by, choice.what);
  return (
    <AskDialog
      title="Shift all addresses of a page"
      take={!shift || shift.changes.length === 0 ? null : shift.clashes.length > 0 ? 'Shift anyway' : 'Shift'}
      onTake={() => shift && onShift(shift, name(choice.end))}
      onClose={onClose}
      outcome={
        shift ? <Outcome shift={shift} /> : <p>Type a whole number, as 1 or -1; it counts what the notation counts.</p>
      }
    >
      <Choice label="Which" value={which} options={choices} onChoose={(one) => setValue('which', one)} />
      <label>
        By
        <Input autoFocus inputMode="numeric" {...register('by')} />
      </label>
    </AskDialog>
  );
}

function Outcome({ shift: { rows, clashes } }: { shift: Shift }) {
  return (
    <>
      {rows.length === 0 && clashes.length === 0 && <p>No lane has such an address yet.</p>}
      <table>
        <tbody>
          {rows.slice(0, SHOWN).map((row, i) => (
            <tr key={i}>
              <td dir="auto">{row.name || 'without a name'}</td>
              <td>
                <Code>{row.before}</Code> becomes <Code>{row.after}</Code>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {rows.length > SHOWN && <p>and {rows.length - SHOWN} more</p>}
      <InTheWay clashes={clashes} />
    </>
  );
}
