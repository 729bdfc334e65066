import type { PlacedStep, Said } from '@dialoga/core/work';
import { useState } from 'react';
import { currentAuthor, nameAuthor } from '../api/author';
import { AskDialog } from '../forms/ask-dialog';
import { Input } from '../theme/parts';

/** Of which step something is to be said; `why`: it is not its turn yet. */
export interface Asked {
  step: PlacedStep;
  state: Said['state'];
  why: string;
}

interface Props {
  asked: Asked;
  onSaid: (said: Pick<Said, 'state' | 'reason' | 'by' | 'before'>) => void;
  onClose: () => void;
}

const TITLES: Readonly<Record<Said['state'], string>> = {
  done: 'Not its turn yet',
  failed: 'What was seen',
  skipped: 'Why it is skipped',
};

/** What was seen of a step that failed, why one is skipped, or who takes one before its turn. */
export function StepReason({ asked: { step, state, why }, onSaid, onClose }: Props) {
  const [reason, setReason] = useState('');
  const [by, setBy] = useState(currentAuthor);
  const early = state === 'done';
  const lacks = early ? by.trim() === '' : reason.trim() === '';
  return (
    <AskDialog
      title={TITLES[state]}
      outcome={lacks ? (early ? 'It is taken with a name.' : 'It takes a few words.') : `${step.number} · ${step.what}`}
      take={early ? 'Take it all the same' : state === 'failed' ? 'It failed' : 'Skip it'}
      held={lacks}
      onTake={() => {
        if (currentAuthor() === '' && by.trim() !== '') nameAuthor(by);
        onSaid({ state, reason, by: by.trim(), ...(early ? { before: true } : {}) });
      }}
      onClose={onClose}
    >
      {why !== '' && <p>{why}</p>}
      <label>
        <span>{early ? 'Why' : 'In words'}</span>
        <Input autoFocus value={reason} onChange={(event) => setReason(event.target.value)} />
      </label>
      <label>
        <span>Name</span>
        <Input value={by} onChange={(event) => setBy(event.target.value)} />
      </label>
    </AskDialog>
  );
}
