import type { Project } from '@dialoga/core/model';
import { ask, type Surveyed } from '@dialoga/core/survey';
import { useState } from 'react';
import { newId } from '../api/new-id';
import { AskDialog } from '../forms/ask-dialog';
import { edit } from '../store/editing';
import { useAppDispatch } from '../store/store';
import { Input } from '../theme/parts';

interface Props {
  project: Project;
  rows: readonly Surveyed[];
  by: string;
  onClose: () => void;
}

/** An open question about what was found, and whom it is put to. */
export function AskQuestion({ project, rows, by, onClose }: Props) {
  const dispatch = useAppDispatch();
  const [question, setQuestion] = useState('');
  const [whom, setWhom] = useState('');
  const ready = question.trim() !== '' && whom.trim() !== '';
  return (
    <AskDialog
      title="Ask somebody"
      outcome={
        ready ? `It stays open as “${whom.trim()}: ${question.trim()}”.` : 'It needs a question and whom it is put to.'
      }
      take="Ask"
      held={!ready}
      onTake={() => {
        const asked = ask(project, rows, `${whom.trim()}: ${question.trim()}`, { by, newId });
        if (asked.ok) dispatch(edit(`Ask ${whom.trim()}`, asked.changes));
        onClose();
      }}
      onClose={onClose}
    >
      <p>{rows[0]?.why}</p>
      <label>
        <span>Who is asked</span>
        <Input autoFocus value={whom} onChange={(event) => setWhom(event.target.value)} />
      </label>
      <label>
        <span>Question</span>
        <Input value={question} onChange={(event) => setQuestion(event.target.value)} />
      </label>
    </AskDialog>
  );
}
