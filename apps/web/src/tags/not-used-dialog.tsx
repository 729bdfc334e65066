import { useForm, useWatch } from 'react-hook-form';
import { AskDialog } from '../forms/ask-dialog';
import { Input } from '../theme/parts';

const SHOWN = 6;

interface Props {
  names: readonly string[];
  onTake: (reason: string) => void;
  onClose: () => void;
}

/** Asks why points are not used; the reason is kept with them. */
export function NotUsedDialog({ names, onTake, onClose }: Props) {
  const { register, control } = useForm({ defaultValues: { reason: '' } });
  const clean = useWatch({ control, name: 'reason' }).trim();
  return (
    <AskDialog
      title={names.length === 1 ? `${names[0]} is not used` : `${names.length} points are not used`}
      take={clean === '' ? null : 'Keep that reason'}
      onTake={() => onTake(clean)}
      onClose={onClose}
      outcome={
        <p>
          {names.slice(0, SHOWN).join(', ')}
          {names.length > SHOWN && ` and ${names.length - SHOWN} more`}
        </p>
      }
    >
      <label>
        Because
        <Input autoFocus placeholder="comes with the second phase" {...register('reason')} />
      </label>
    </AskDialog>
  );
}
