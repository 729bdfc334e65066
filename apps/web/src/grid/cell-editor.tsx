import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';
import { Editor } from './styles';

interface Props {
  text: string;
  options?: readonly string[];
  label: string;
  /** false: the text was refused, and stays here to be put right */
  onDone: (text: string, then: 'down' | 'right' | 'left' | 'stay') => boolean;
  onCancel: () => void;
}

/**
 * The input that stands in a cell while it is edited. Enter and Tab commit and go on, Escape leaves the cell as it was.
 * A text that is refused stays, so that nothing has to be typed again.
 */
export function CellEditor({ text, options, label, onDone, onCancel }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const done = useRef(false);
  const [refused, setRefused] = useState(false);
  const listId = useId();

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
        aria-invalid={refused || undefined}
        defaultValue={text}
        list={options ? listId : undefined}
        onKeyDown={onKeyDown}
        onBlur={() => finish('stay')}
        spellCheck={false}
        autoComplete="off"
      />
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
