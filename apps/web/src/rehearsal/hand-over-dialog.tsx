import { useState } from 'react';
import { AskDialog } from '../forms/ask-dialog';
import { Input } from '../theme/parts';

interface Props {
  name: string;
  onHand: (at: string) => void;
  onClose: () => void;
}

/** Another program takes a station's part: where it answers on this computer, if it does. */
export function HandOverDialog({ name, onHand, onClose }: Props) {
  const [at, setAt] = useState('');
  const answers = at.trim() !== '';
  return (
    <AskDialog
      title={`Another program plays ${name}`}
      outcome={
        answers
          ? `Its stand-in goes, and whoever calls ${name} by Modbus TCP calls ${at.trim()}.`
          : `Its stand-in goes; the other program calls the others, and nobody finds ${name}.`
      }
      take="Hand over"
      onTake={() => onHand(at)}
      onClose={onClose}
    >
      <label>
        It answers at
        <Input autoFocus value={at} placeholder="127.0.0.1:1502" onChange={(event) => setAt(event.target.value)} />
      </label>
    </AskDialog>
  );
}
