import { useEffect, useEffectEvent, useId, useRef, useState, type KeyboardEvent } from 'react';
import { SaidAtCell } from './said-at-cell';
import { Editor } from './styles';
import type { Judged } from './types';

interface Props {
  text: string;
  options?: readonly string[];
  label: string;
  /** why a text cannot stand there as it is; null: it can, or that is not known */
  judge: (text: string) => Judged;
  /** a sentence: the text was refused for that, and stays here to be put right */
  onDone: (text: string, then: 'down' | 'right' | 'left' | 'stay') => string | null;
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
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [listId, problemId] = [useId(), useId()];
  const judged = useEffectEvent((now: string) => (now.trim() === '' ? null : judge(now)));
  useEffect(() => {
    if (typed === null) return;
    let current = true;
    const timer = setTimeout(async () => {
      const said = await judged(typed);
      if (current) setProblem(said);
    }, PAUSE_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [typed]);

  useEffect(() => {
    input.current?.focus();
    input.current?.setSelectionRange(text.length, text.length);
  }, [text]);

  const finish = (then: 'down' | 'right' | 'left' | 'stay') => {
    if (done.current || !input.current) return;
    done.current = true;
    const refusal = onDone(input.current.value, then);
    if (refusal === null) return;
    done.current = false;
    setTyped(null);
    setProblem(refusal);
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
        aria-invalid={problem !== null || undefined}
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
      <SaidAtCell id={problemId} cell={input} problem={problem} />
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
