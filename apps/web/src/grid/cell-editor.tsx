import { useEffect, useEffectEvent, useId, useRef, useState, type KeyboardEvent } from 'react';
import { SaidAtCell } from './said-at-cell';
import { Editor, Unseen } from './styles';
import type { Judged } from './types';

interface Props {
  text: string;
  options?: readonly string[];
  label: string;
  /** why a text cannot stand there as it is; null: it can, or that is not known */
  judge: (text: string) => Judged;
  /** false: the text was refused, and stays here to be put right */
  onDone: (text: string, then: 'down' | 'right' | 'left' | 'stay') => boolean;
  onCancel: () => void;
}

/** ms without a key after which what stands there is judged */
const PAUSE_MS = 250;

/**
 * The input that stands in a cell while it is edited. Enter and Tab commit and go on, Escape leaves the cell as it was.
 * What cannot stand there is said at once; a text that is refused stays, so that nothing has to be typed again.
 */
export function CellEditor({ text, options, label, judge, onDone, onCancel }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const done = useRef(false);
  const [refused, setRefused] = useState(false);
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [listId, problemId] = [useId(), useId()];
  const judged = useEffectEvent(async (now: string) => {
    const said = now.trim() === '' ? null : await judge(now);
    if (input.current?.value === now) setProblem(said);
  });
  useEffect(() => {
    if (typed === null) return;
    const timer = setTimeout(() => void judged(typed), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [typed]);

  useEffect(() => {
    input.current?.focus();
    input.current?.setSelectionRange(text.length, text.length);
  }, [text]);

  const finish = (then: 'down' | 'right' | 'left' | 'stay') => {
    if (done.current || !input.current) return;
    done.current = true;
    if (onDone(input.current.value, then)) return;
    done.current = false;
    setRefused(true);
  };

  function onKeyDown(event: KeyboardEvent) {
    event.stopPropagation();
    if (event.key === 'Enter' || event.key === 'Tab') {
      event.preventDefault();
      finish(event.key === 'Enter' ? 'down' : event.shiftKey ? 'left' : 'right');
    } else if (event.key === 'Escape') {
      event.preventDefault();
      done.current = true;
      onCancel();
    }
  }

  return (
    <>
      <Editor
        ref={input}
        aria-label={label}
        aria-invalid={refused || problem !== null || undefined}
        aria-describedby={problemId}
        defaultValue={text}
        onInput={(event) => {
          setProblem(null);
          setTyped(event.currentTarget.value);
        }}
        list={options ? listId : undefined}
        onKeyDown={onKeyDown}
        onBlur={() => finish('stay')}
        spellCheck={false}
        autoComplete="off"
      />
      <Unseen id={problemId}>{problem}</Unseen>
      <SaidAtCell cell={input} problem={problem} />
      {options && (
        <datalist id={listId}>
          {options.map((option) => (
            <option key={option} value={option} />
          ))}
        </datalist>
      )}
    </>
  );
}
