import { LIST_FORMATS } from '@dialoga/core/formats';
import { unreadSentence, type Read } from '@dialoga/core/text';
import { useEffect, useEffectEvent, useState, type ReactNode } from 'react';
import { DropZone, FileTrigger, type DropZoneProps } from 'react-aria-components';
import styled from 'styled-components';
import { BoxButton, Empty, PageTitle, Section } from '../theme/parts';
import { colour, font, size, space } from '../theme/tokens';
import type { FileRead, ListRows } from '../worker/list-file.worker';
import { ColumnChoices, Understood } from './understood';
import { useListFile } from './use-list-file';

export const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space[2]}px ${space[4]}px;
  align-items: center;
  padding-top: ${space[2]}px;
  .label {
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
  .field button {
    max-width: 150px;
  }
`;

const Drop = styled(DropZone)`
  border: 1px dashed ${colour.edge};
  padding: ${space[4]}px;
  &[data-drop-target] {
    border-style: solid;
  }
  &[data-focus-visible] {
    outline: 2px solid ${colour.focus};
  }
`;

const Text = styled.textarea`
  width: 100%;
  height: 64px;
  margin-top: ${space[3]}px;
  padding: ${space[3]}px;
  border: 1px solid ${colour.edge};
  background: ${colour.sheet};
  color: ${colour.ink};
  font: 400 ${size.data}px / 1.5 ${font.code};
  resize: vertical;
`;

/** A list that was read: its rows, and where it came from. */
export interface ReadList<K extends keyof ListRows> {
  rows: ListRows[K];
  read: FileRead<K>;
  name: string;
  saved: string | null;
  setBusy: (busy: string) => void;
}

interface Props<K extends keyof ListRows> {
  kind: K;
  title: string;
  about: string;
  /** what stands in the empty field for pasted rows */
  placeholder: string;
  /** what is said while there is no list yet */
  empty: string;
  ownAddresses?: boolean;
  /** how a file with the same headings was understood before */
  remembered?: string | undefined;
  /** what would become of the rows */
  children: (list: ReadList<K>) => ReactNode;
}

const ENDINGS = LIST_FORMATS.flatMap(({ endings }) => endings.map((ending) => `.${ending}`));
/** ms after the last key until what is pasted is read */
const PAUSE_MS = 250;

/** A list as a file or pasted: how it was understood, each point to be corrected, and below what would become of it. */
export function ListImport<K extends keyof ListRows>(props: Props<K>) {
  const { kind, title, about, placeholder, empty, ownAddresses = true, remembered, children } = props;
  const list = useListFile(kind, { ownAddresses, ...(remembered ? { remembered } : {}) });
  const { file, busy, problem, read, choose, bringIn, giveUp } = list;
  const [text, setText] = useState('');
  const paste = useEffectEvent((pasted: string) => {
    if (pasted !== '' || file?.saved === null) list.paste(pasted);
  });
  useEffect(() => {
    const timer = setTimeout(() => paste(text), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [text]);
  const leave = () => {
    setText('');
    giveUp();
  };
  const fromFile = file !== null && file.saved !== null;
  /** A file that is dropped, or what is pasted while the area has the focus. */
  const dropped: DropZoneProps['onDrop'] = async ({ items }) => {
    const found = items.find(({ kind }) => kind === 'file');
    if (found?.kind === 'file') return bringIn(await found.getFile());
    const pasted = items.find((item) => item.kind === 'text' && item.types.has('text/plain'));
    if (pasted?.kind === 'text' && !fromFile) setText(await pasted.getText('text/plain'));
  };
  return (
    <>
      <PageTitle>
        <h1>{title}</h1>
        <p>{about}</p>
      </PageTitle>
      <Section
        aria-label="The list"
        onPaste={(event) => {
          // With the focus on one of its buttons the area would not hear of it.
          if (!fromFile && !(event.target instanceof HTMLTextAreaElement))
            setText(event.clipboardData.getData('text/plain'));
        }}
      >
        <Drop aria-label="Drop a file, or paste rows" onDrop={(event) => void dropped(event)}>
          <Row>
            <FileTrigger acceptedFileTypes={ENDINGS} onSelect={(files) => bringIn(files?.[0])}>
              <BoxButton autoFocus>{fromFile ? 'Another file …' : 'Choose a file …'}</BoxButton>
            </FileTrigger>
            {!file && <span>or drop it here, or paste its rows; nothing is stored before you take it in</span>}
            {busy !== '' && <span role="status">{busy} …</span>}
            {file && read && <Understood read={read} onChoose={choose} />}
            {(file || busy !== '') && <BoxButton onPress={leave}>Cancel</BoxButton>}
          </Row>
          {!fromFile && (
            <Text
              aria-label="Rows of the list"
              placeholder={placeholder}
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
          )}
          {read?.table && <ColumnChoices read={read} onChoose={(columns) => choose({ columns })} />}
        </Drop>
      </Section>
      {problem && <Alert sentence={problem} />}
      {read && !(read.list as Read<unknown>).ok && (
        <Alert sentence={unreadSentence(read.list as Read<never> & { ok: false })} />
      )}
      {!file && !problem && <Empty>{empty}</Empty>}
      {file &&
        read?.list.ok &&
        children({ rows: read.list.value, read, name: file.name, saved: file.saved, setBusy: list.setBusy })}
    </>
  );
}

const Alert = ({ sentence }: { sentence: string }) => (
  <Section role="alert">
    <p>{sentence}.</p>
  </Section>
);
