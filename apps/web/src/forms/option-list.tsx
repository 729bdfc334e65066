import { ListBox, ListBoxItem, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { colour, space } from '../theme/tokens';

/** One thing that can be chosen. */
export interface Option {
  value: string;
  text: string;
}

const Sheet = styled(Popover)`
  min-width: max(var(--trigger-width), 96px);
  max-width: min(440px, calc(100vw - 32px));
  border: 1px solid ${colour.edge};
  background: ${colour.sheet};
  color: ${colour.ink};
  box-shadow: 0 2px 8px color-mix(in srgb, ${colour.ink} 20%, transparent);
  > div {
    max-height: inherit;
    overflow: auto;
    outline: none;
  }
`;

const Line = styled(ListBoxItem)`
  min-height: 24px;
  padding: ${space[1]}px ${space[3]}px;
  cursor: pointer;
  outline: none;
  overflow-wrap: anywhere;
  &[data-focused],
  &[data-hovered] {
    background: ${colour.sunk};
  }
  &[data-focused] {
    box-shadow: inset 3px 0 ${colour.focus};
  }
  &[data-selected] {
    font-weight: 600;
  }
`;

/** A key of a choice: an empty value is one, too. */
export const keyOf = (value: string): string => `=${value}`;
export const valueOf = (key: unknown): string => String(key).slice(1);

/** What can be chosen, under the control that it belongs to. */
export const OptionList = ({ options }: { options: readonly Option[] }) => (
  <Sheet offset={1} placement="bottom start">
    <ListBox>
      {options.map(({ value, text }) => (
        <Line key={value} id={keyOf(value)} textValue={text}>
          <span dir="auto">{text}</span>
        </Line>
      ))}
    </ListBox>
  </Sheet>
);
