import { Button, Label, Select, SelectValue } from 'react-aria-components';
import styled from 'styled-components';
import { Chevron } from '../marks/chevron';
import { colour, space } from '../theme/tokens';
import { keyOf, OptionList, valueOf, type Option } from './option-list';

const Box = styled(Button)`
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: ${space[3]}px;
  min-width: 0;
  min-height: 26px;
  max-width: 100%;
  padding: ${space[1]}px ${space[2]}px ${space[1]}px ${space[3]}px;
  border: 1px solid ${colour.edge};
  background: ${colour.sheet};
  text-align: left;
  cursor: pointer;
  &[data-hovered] {
    border-color: ${colour.ink};
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

interface Props {
  label: string;
  value: string;
  options: readonly Option[];
  onChoose: (value: string) => void;
  autoFocus?: boolean;
  /** the label is for assistive technology only: what it is stands beside it already */
  quiet?: boolean;
  /** what stands there while nothing is chosen */
  empty?: string;
}

/** One of several, chosen by keyboard or pointer: its label, what is chosen, and under it the list. */
export function Choice({ label, value, options, onChoose, autoFocus = false, quiet = false, empty = '' }: Props) {
  const known = options.some((option) => option.value === value);
  return (
    <Select
      className="field"
      value={known ? keyOf(value) : null}
      onChange={(key) => key !== null && onChoose(valueOf(key))}
      placeholder={empty}
      {...(quiet ? { 'aria-label': label } : {})}
    >
      {!quiet && <Label className="label">{label}</Label>}
      <Box autoFocus={autoFocus}>
        <SelectValue>{({ selectedText, defaultChildren }) => selectedText ?? defaultChildren}</SelectValue>
        <Chevron open />
      </Box>
      <OptionList options={options} />
    </Select>
  );
}
