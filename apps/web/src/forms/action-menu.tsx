import { Menu, MenuItem, MenuTrigger, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { BoxButton } from '../theme/parts';
import { colour, space } from '../theme/tokens';

const Sheet = styled(Popover)`
  min-width: max(var(--trigger-width), 96px);
  border: 1px solid ${colour.edge};
  background: ${colour.sheet};
  color: ${colour.ink};
  box-shadow: 0 2px 8px color-mix(in srgb, ${colour.ink} 20%, transparent);
  > div {
    outline: none;
  }
`;

const Line = styled(MenuItem)`
  min-height: 24px;
  padding: ${space[1]}px ${space[3]}px;
  cursor: pointer;
  outline: none;
  &[data-focused] {
    background: ${colour.sunk};
    box-shadow: inset 3px 0 ${colour.focus};
  }
`;

interface Props {
  /** what the button says */
  text: string;
  /** what the choice is for */
  label: string;
  items: readonly string[];
  onTake: (item: string) => void;
}

/** Several things that can be done, behind one button. */
export const ActionMenu = ({ text, label, items, onTake }: Props) => (
  <MenuTrigger>
    <BoxButton aria-label={label}>{text}</BoxButton>
    <Sheet placement="bottom end" offset={1}>
      <Menu onAction={(key) => onTake(String(key))}>
        {items.map((item) => (
          <Line key={item} id={item}>
            {item}
          </Line>
        ))}
      </Menu>
    </Sheet>
  </MenuTrigger>
);
