import { useEffect, useState } from 'react';
import { Dialog, Heading } from 'react-aria-components';
import { useLocation } from 'react-router';
import styled from 'styled-components';
import { explainedNow, type Explained } from '../page/explained';
import { BoxButton, Code } from '../theme/parts';
import { colour, font, space } from '../theme/tokens';
import keys from '../page/key-list.json';
import { useKeys } from '../page/keys';
import { Overlay, Panel } from '../page/overlay';

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

const Field = styled.section`
  && {
    padding: 0 0 ${space[4]}px;
  }
  p {
    max-width: 70ch;
    margin: 0 0 ${space[2]}px;
  }
  h3 {
    margin: ${space[4]}px 0 0;
  }
`;

const SHOW = 'dialoga-keys';

/** Opens the dialog from anywhere. */
export const showKeys = (): void => void document.dispatchEvent(new Event(SHOW));

/** What can be typed where the focus is. */
const AboutField = ({ about: { help, examples = [] } }: { about: Explained }) => (
  <Field aria-label="What can be typed here">
    <p>{help ?? 'This cell is only read; it follows from others.'}</p>
    {examples.length > 0 && (
      <p>
        For example{' '}
        {examples.map((example, i) => (
          <span key={example}>
            {i > 0 && (i === examples.length - 1 ? ' or ' : ', ')}
            <Code>{example}</Code>
          </span>
        ))}
      </p>
    )}
    <h3>Keys of this screen</h3>
  </Field>
);

/** F1: what can be typed where the focus is, and the keys of this screen. */
export function KeysDialog() {
  const [open, setOpen] = useState(false);
  const [about, setAbout] = useState<Explained | null>(null);
  const { pathname } = useLocation();
  useKeys((event) => {
    if (event.key !== 'F1') return;
    event.preventDefault();
    setAbout(explainedNow());
    setOpen(true);
  }, 'also while typing');
  useEffect(() => {
    const show = () => {
      setAbout(null);
      setOpen(true);
    };
    document.addEventListener(SHOW, show);
    return () => document.removeEventListener(SHOW, show);
  }, []);
  const sheet = /\/exchanges\/[^/]+/.test(pathname);
  const tables = sheet || /\/(exchanges|stations|wiring|profiles|structures|tags)/.test(pathname);
  const shown = (title: string) => title === 'Everywhere' || (title === 'On the two-ended sheet' ? sheet : tables);
  const parts = Object.entries(keys).filter(([title]) => shown(title));
  return (
    <Overlay isOpen={open} isDismissable onOpenChange={setOpen}>
      <Wide>
        <Dialog>
          <Heading slot="title" level={2}>
            {about ? about.title : 'Keys of this screen'}
          </Heading>
          {about && <AboutField about={about} />}
          <Columns>
            {parts.map(([title, list]) => (
              <Part key={title}>
                <h3>{title}</h3>
                <dl>
                  {list.map(([key = '', does = '']) => (
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
