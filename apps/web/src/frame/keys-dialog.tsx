import { useEffect, useState } from 'react';
import { Dialog, Heading } from 'react-aria-components';
import { useLocation } from 'react-router';
import styled from 'styled-components';
import { BoxButton } from '../theme/parts';
import { colour, font, space } from '../theme/tokens';
import { useKeys } from '../page/keys';
import { Overlay, Panel } from '../page/overlay';

type Keys = readonly (readonly [keys: string, does: string])[];

const EVERYWHERE: Keys = [
  ['Ctrl+K', 'find anything: a station, an address, a value, a finding, an action'],
  ['Alt+Page Down, Alt+Page Up', 'the next and the previous finding, at its very cell'],
  ['Alt+Enter', 'take the ready fix of the finding in the line below'],
  ['Ctrl+I', 'explain the finding of the line below; on the sheet, the verdict at the cursor'],
  ['Alt+R', 'the way to the station shown, or between the ends of the exchange shown'],
  ['Ctrl+Z, Ctrl+Y', 'undo, redo'],
  ['F1', 'these keys'],
];

const TABLES: Keys = [
  ['arrows, Home, End, Page Up, Page Down', 'move; with Ctrl to the first or last row'],
  ['Shift and an arrow', 'choose a block of cells'],
  ['Enter, F2, or typing', 'edit the cell; Escape leaves it as it was'],
  ['Tab, Shift+Tab', 'the next and the previous cell'],
  ['Delete', 'empty the chosen cells'],
  ['Ctrl+C, Ctrl+V', 'copy to and paste from a spreadsheet'],
  ['Ctrl+D', 'fill the chosen cells from the first row of them'],
  ['Ctrl+Delete', 'take the row out, with all that depends on it'],
];

const SHEET: Keys = [
  ['Space', 'open or close the values of a lane'],
  ['Ctrl+J', 'where the value at the cursor goes, where it comes from, and whom a change reaches'],
  ['Ctrl+G', 'which end gives way, with what that changes'],
  ['Alt+M', 'fold the map away, or show it'],
  ['on the map: arrows', 'to the next lane or value; up and down to the other end'],
  ['on the map: Enter, Escape', 'into a lane, a value, its bytes; and out again'],
  ['on the map: Space', 'to the row of the table that it stands for'],
  ['Ctrl+P', 'print the sheet for the other side'],
];

const Wide = styled(Panel)`
  width: 1040px;
`;

const Columns = styled.div`
  columns: 2 400px;
  column-gap: ${space[6]}px;
`;

const Part = styled.section`
  break-inside: avoid;
  && {
    padding: 0 0 ${space[5]}px;
  }
  h3 {
    font: 600 13px ${font.serif};
  }
  dl {
    display: grid;
    grid-template-columns: 220px 1fr;
    gap: ${space[2]}px ${space[4]}px;
    margin: ${space[2]}px 0 0;
  }
  dt {
    font: 12px/1.5 ${font.code};
  }
  dd {
    margin: 0;
    color: ${colour.ink2};
  }
`;

const SHOW = 'dialoga-keys';

/** Opens the dialog from anywhere. */
export const showKeys = (): void => void document.dispatchEvent(new Event(SHOW));

/** F1: the keys of this screen. */
export function KeysDialog() {
  const [open, setOpen] = useState(false);
  const { pathname } = useLocation();
  useKeys((event) => {
    if (event.key !== 'F1') return;
    event.preventDefault();
    setOpen(true);
  }, 'also while typing');
  useEffect(() => {
    const show = () => setOpen(true);
    document.addEventListener(SHOW, show);
    return () => document.removeEventListener(SHOW, show);
  }, []);
  const sheet = /\/exchanges\/[^/]+/.test(pathname);
  const tables = sheet || /\/(exchanges|stations|wiring|profiles|structures|tags)/.test(pathname);
  const parts: [string, Keys][] = [
    ...(sheet ? [['On the two-ended sheet', SHEET] as [string, Keys]] : []),
    ...(tables ? [['In every table', TABLES] as [string, Keys]] : []),
    ['Everywhere', EVERYWHERE],
  ];
  return (
    <Overlay isOpen={open} isDismissable onOpenChange={setOpen}>
      <Wide>
        <Dialog>
          <Heading slot="title" level={2}>
            Keys of this screen
          </Heading>
          <Columns>
            {parts.map(([title, keys]) => (
              <Part key={title}>
                <h3>{title}</h3>
                <dl>
                  {keys.map(([key, does]) => (
                    <div key={key} style={{ display: 'contents' }}>
                      <dt>{key}</dt>
                      <dd>{does}</dd>
                    </div>
                  ))}
                </dl>
              </Part>
            ))}
          </Columns>
          <BoxButton autoFocus onPress={() => setOpen(false)}>
            Close
          </BoxButton>
        </Dialog>
      </Wide>
    </Overlay>
  );
}
