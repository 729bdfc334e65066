import { Button, Select, SelectValue } from 'react-aria-components';
import { explain, explainNothing, type Explained } from '../page/explained';
import styled from 'styled-components';
import { Chevron } from '../marks/chevron';
import { colour, space } from '../theme/tokens';
import { steady } from '../page/steady';
import { keyOf, OptionList, valueOf, type Option } from './option-list';

const Field = styled(Button)<{ $differs: boolean }>`
  display: inline-flex;
  align-items: baseline;
  gap: ${space[1]}px;
  max-width: 260px;
  padding: 0;
  border: 0;
  border-bottom: ${({ $differs }) => ($differs ? `2px solid ${colour.differs}` : `1px solid ${colour.hairline}`)};
  background: none;
  text-align: left;
  cursor: pointer;
  &[data-hovered] {
    border-bottom-color: ${colour.ink};
  }
  > svg {
    flex: none;
  }
  > span:first-child {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
`;

const Inline = styled(Select)`
  display: inline-block;
  max-width: 100%;
`;

interface Props {
  id?: string;
  label: string;
  value: string;
  differs?: boolean;
  /** what F1 says of it */
  about?: Explained;
  options: readonly Option[];
  onChoose: (value: string) => void;
}

const alike = (a: Props, b: Props): boolean =>
  a.id === b.id &&
  a.label === b.label &&
  a.value === b.value &&
  a.differs === b.differs &&
  a.about === b.about &&
  a.options.length === b.options.length &&
  a.options.every(({ value, text }, i) => value === b.options[i]!.value && text === b.options[i]!.text);

/** A choice that stands in a sentence. */
export const InlineSelect = steady(function InlineSelect(props: Props) {
  const { id, label, value, differs = false, about, options, onChoose } = props;
  return (
    <Inline
      aria-label={label}
      value={keyOf(value)}
      onChange={(key) => key !== null && onChoose(valueOf(key))}
      placeholder=""
    >
      <Field
        {...(id === undefined ? {} : { id })}
        $differs={differs}
        onFocus={() => about && explain(() => about)}
        onBlur={explainNothing}
      >
        <SelectValue>{({ selectedText, defaultChildren }) => selectedText ?? defaultChildren}</SelectValue>
        <Chevron open />
      </Field>
      <OptionList options={options} />
    </Inline>
  );
}, alike);
