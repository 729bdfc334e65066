import type { Filled } from '@dialoga/core/sheet';
import { useForm, useWatch } from 'react-hook-form';
import { Code, Input } from '../theme/parts';
import { AskDialog } from '../forms/ask-dialog';
import { InTheWay } from './in-the-way';

const MOST = 2000;

interface Props {
  /** what is filled down, and what there is of it: values, lanes */
  from: string;
  what: string;
  plan: (count: number) => Filled | null;
  onFill: (filled: Filled, count: number) => void;
  onClose: () => void;
}

/** Asks how far to fill down; shows the last row, and what would be in the way, before anything is stored. */
export function FillDialog({ from, what, plan, onFill, onClose }: Props) {
  const { register, control } = useForm({ defaultValues: { count: '10' } });
  const text = useWatch({ control, name: 'count' });
  const count = /^\d+$/.test(text.trim()) ? Number(text) : 0;
  const possible = count >= 2 && count <= MOST;
  const filled = possible ? plan(count) : null;
  return (
    <AskDialog
      title={`Fill down from ${from}`}
      take={!filled ? null : filled.clashes.length > 0 ? 'Fill anyway' : 'Fill'}
      onTake={() => filled && onFill(filled, count)}
      onClose={onClose}
      outcome={
        <>
          {!possible && <p>Type a whole number from 2 to {MOST}.</p>}
          {possible && !filled && <p>Its address, length and type have to be filled in first.</p>}
          {filled && (
            <p>
              The last is <Code>{filled.last.name || 'without a name'}</Code> at <Code>{filled.last.address}</Code>.
            </p>
          )}
          {filled && <InTheWay clashes={filled.clashes} />}
        </>
      }
    >
      <label>
        {what} in all
        <Input autoFocus inputMode="numeric" {...register('count')} />
      </label>
    </AskDialog>
  );
}
