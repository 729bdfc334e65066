import type { ComponentProps } from 'react';
import { useDropped } from '../grid/dropped';
import { ListArea } from './parts';

interface Props extends Omit<ComponentProps<typeof ListArea>, 'value' | 'onChange'> {
  value: string;
  onText: (text: string) => void;
}

/** Where a list is pasted or typed; a text or a file that is dropped there stands behind what is there. */
export function ListField({ value, onText, ...rest }: Props) {
  const dropped = useDropped<HTMLTextAreaElement>((more) => onText(value.trim() === '' ? more : `${value}\n${more}`));
  return (
    <ListArea
      {...rest}
      {...dropped}
      value={value}
      spellCheck={false}
      onChange={(event) => onText(event.target.value)}
    />
  );
}
