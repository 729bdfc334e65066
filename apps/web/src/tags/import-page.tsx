import {
  columnsText,
  DECIMALS,
  ENCODINGS,
  importChanges,
  lastImport,
  SEPARATORS,
  TAG_COLUMNS,
  TAG_HEADINGS,
  unreadSentence,
  type Decimal,
  type Encoding,
  type ImportPlan,
  type Separator,
  type TagColumnName,
} from '@dialoga/core';
import { useEffect, useMemo, useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { NothingHere } from '../frame/nothing-here';
import { Grid } from '../grid/grid';
import { edit } from '../store/editing';
import { newId } from '../store/new-id';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import { BoxButton, Empty, PageTitle, Section, SectionHead, Select } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';
import { checker } from '../worker/checker';
import { openTagFile, type TagFile } from '../worker/tag-file';
import type { FileChoice, FileRead } from '../worker/tag-file.worker';
import { hasOwnAddresses } from './own-addresses';
import { IMPORT_COLUMNS, importRows, planWords } from './import-rows';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space[2]}px ${space[4]}px;
  align-items: center;
  padding-top: ${space[2]}px;
  label {
    display: flex;
    gap: ${space[2]}px;
    align-items: center;
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
  select {
    max-width: 150px;
  }
`;

const Columns = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: ${space[2]}px ${space[4]}px;
  padding-top: ${space[3]}px;
  label {
    display: grid;
    grid-template-columns: 76px minmax(0, 1fr);
    align-items: center;
    color: ${colour.ink2};
    font-size: ${size.data}px;
  }
  select {
    width: 100%;
    min-width: 0;
  }
`;

const Drop = styled.div<{ $over: boolean }>`
  border: 1px ${({ $over }) => ($over ? 'solid' : 'dashed')} ${colour.edge};
  padding: ${space[4]}px;
`;

const SEPARATOR_WORDS: Record<Separator, string> = { '\t': 'tabs', ';': 'semicolons', ',': 'commas', '|': 'bars' };

/** A file of tags: how it was understood, what it would do, and taken in as one step or not at all. */
export function ImportPage() {
  const { project: projectId = '', station: id = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [file, setFile] = useState<TagFile | null>(null);
  const [busy, setBusy] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [choice, setChoice] = useState<Omit<FileChoice, 'ownAddresses' | 'remembered'>>({});
  const [read, setRead] = useState<FileRead | null>(null);
  const [plan, setPlan] = useState<ImportPlan | null>(null);
  const [without, setWithout] = useState<ReadonlySet<number>>(new Set());
  const [drop, setDrop] = useState(true);
  const [over, setOver] = useState(false);
  const station = project.get('station', id);
  const ownAddresses = hasOwnAddresses(project, id);
  const last = useMemo(() => lastImport(project, id), [project, id]);

  async function bringIn(chosen: File | undefined) {
    if (!chosen) return;
    file?.close();
    setRead(null);
    setPlan(null);
    setChoice({});
    setWithout(new Set());
    setProblem(null);
    setBusy(`reading ${chosen.name}`);
    const opened = await openTagFile(chosen);
    setBusy('');
    if (typeof opened === 'string') setProblem(opened);
    else setFile(opened);
  }
  // The worker of the file ends with the page, or with another file.
  useEffect(() => () => file?.close(), [file]);
  useEffect(() => {
    if (!file) return;
    let current = true;
    const remembered = last?.understood;
    void file
      .read({ ...choice, ownAddresses, ...(remembered && !choice.columns ? { remembered } : {}) })
      .then((next) => {
        if (current) setRead(next);
      });
    return () => {
      current = false;
    };
  }, [file, choice, ownAddresses, last]);
  useEffect(() => {
    if (!read?.list.ok) return;
    let current = true;
    void checker()
      .planTags(id, read.list.value)
      .then((next) => current && setPlan(next));
    return () => {
      current = false;
    };
  }, [read, id, project]);

  if (!station) {
    return (
      <NothingHere what="There is no such station." back={{ to: `/p/${projectId}/tags`, label: 'All stations' }} />
    );
  }
  function giveUp() {
    file?.close();
    setFile(null);
    setRead(null);
    setPlan(null);
    setBusy('');
  }
  function take() {
    if (!plan || !file || !read) return;
    const source = {
      ...{ file: file.name, format: read.format, at: new Date().toISOString(), saved: file.saved },
      understood: read.table ? columnsText(read.table.columns) : '',
    };
    const changes = importChanges(project, id, plan, source, { without, drop }, newId());
    const words = planWords(plan, { without, drop });
    if (dispatch(edit(`Bring in ${file.name}: ${words}`, changes)) !== null) return;
    dispatch(projectSlice.actions.noticed(`Taken in: ${words}. One undo takes it back.`));
    void navigate(`/p/${projectId}/tags/${id}`);
  }
  const toggle = (line: number) => {
    const next = new Set(without);
    if (!next.delete(line)) next.add(line);
    setWithout(next);
  };
  const shown = read?.list.ok ? plan : null;
  return (
    <>
      <PageTitle>
        <h1>Tags for {station.name}</h1>
        <p>bring in a list as it is: CSV, XLSX, PLCopen XML, or declarations of IEC 61131-3</p>
      </PageTitle>
      <Section aria-label="The file">
        <Drop
          $over={over}
          onDragOver={(event) => {
            event.preventDefault();
            setOver(true);
          }}
          onDragLeave={() => setOver(false)}
          onDrop={(event) => {
            event.preventDefault();
            setOver(false);
            void bringIn(event.dataTransfer.files[0]);
          }}
        >
          <Row>
            <FileTrigger
              acceptedFileTypes={['.csv', '.tsv', '.txt', '.xlsx', '.xml', '.st', '.iec', '.exp']}
              onSelect={(files) => void bringIn(files?.[0])}
            >
              <BoxButton autoFocus>{file ? 'Another file …' : 'Choose a file …'}</BoxButton>
            </FileTrigger>
            {!file && <span>or drop it here; nothing is stored before you take it in</span>}
            {busy !== '' && <span role="status">{busy} …</span>}
            {file && read && <Understood read={read} onChoose={(more) => setChoice({ ...choice, ...more })} />}
            {(file || busy !== '') && <BoxButton onPress={giveUp}>Leave it</BoxButton>}
          </Row>
          {read?.table && (
            <ColumnChoices
              read={read}
              onChoose={(column, at) => {
                const columns = { ...read.table!.columns, [column]: at };
                if (at === undefined) delete columns[column];
                setChoice({ ...choice, columns });
              }}
            />
          )}
        </Drop>
      </Section>
      {problem && (
        <Section role="alert">
          <p>{problem}.</p>
        </Section>
      )}
      {read && !read.list.ok && (
        <Section role="alert">
          <p>{unreadSentence(read.list)}.</p>
        </Section>
      )}
      {!file && !problem && (
        <Empty>
          Columns are found by their headings, in any order. What would be added, changed and dropped is shown first,
          with what is bound to it; it is taken in whole, as one step, or not at all.
        </Empty>
      )}
      {shown && (
        <>
          <Section aria-label="What would come of it">
            <SectionHead>
              <h2>{planWords(shown, { without, drop })}</h2>
              <p>
                {read!.table && read!.table.twice.length > 0 && `${read!.table.twice.join(', ')} is a heading twice; `}
                {shown.structures.length > 0 && `brings ${shown.structures.map((s) => s.name).join(', ')}; `}
                {shown.fields.length === 0 && 'only names were found in it'}
              </p>
              <span style={{ marginLeft: 'auto' }}>
                <Row>
                  {shown.gone.length > 0 && (
                    <label>
                      <input type="checkbox" checked={drop} onChange={() => setDrop(!drop)} />
                      drop the {shown.gone.length} that it no longer has
                    </label>
                  )}
                  <BoxButton onPress={take} isDisabled={shown.rows.every((row) => !row.tag)}>
                    Take it in
                  </BoxButton>
                </Row>
              </span>
            </SectionHead>
          </Section>
          <Grid
            label="What becomes of each tag"
            main
            columns={IMPORT_COLUMNS}
            rows={importRows(project, shown, { without, drop }, toggle)}
            onEdit={() => undefined}
          />
        </>
      )}
    </>
  );
}

function Understood({ read, onChoose }: { read: FileRead; onChoose: (choice: Partial<FileChoice>) => void }) {
  return (
    <>
      <strong>{read.format}</strong>
      {read.sheets.length > 1 && (
        <label>
          sheet
          <Select value={read.sheet} onChange={(e) => onChoose({ sheet: Number(e.target.value), columns: undefined })}>
            {read.sheets.map((name, i) => (
              <option key={name} value={i}>
                {name}
              </option>
            ))}
          </Select>
        </label>
      )}
      {read.encoding && (
        <label>
          encoding
          <Select value={read.encoding} onChange={(e) => onChoose({ encoding: e.target.value as Encoding })}>
            {ENCODINGS.map((encoding) => (
              <option key={encoding}>{encoding}</option>
            ))}
          </Select>
        </label>
      )}
      {read.separator && (
        <label>
          separated by
          <Select
            value={read.separator}
            onChange={(e) => onChoose({ separator: e.target.value as Separator, columns: undefined })}
          >
            {SEPARATORS.map((separator) => (
              <option key={separator} value={separator}>
                {SEPARATOR_WORDS[separator]}
              </option>
            ))}
          </Select>
        </label>
      )}
      {read.decimal && (
        <label>
          decimal
          <Select value={read.decimal} onChange={(e) => onChoose({ decimal: e.target.value as Decimal })}>
            {DECIMALS.map((decimal) => (
              <option key={decimal}>{decimal}</option>
            ))}
          </Select>
        </label>
      )}
    </>
  );
}

interface ColumnsProps {
  read: FileRead;
  onChoose: (column: TagColumnName, at: number | undefined) => void;
}

/** Which column of the file holds what, each with what stands in it first. */
function ColumnChoices({ read, onChoose }: ColumnsProps) {
  const { headings, columns, rows } = read.table!;
  return (
    <Columns role="group" aria-label="Columns of the file">
      {TAG_COLUMNS.map((column) => (
        <label key={column}>
          {TAG_HEADINGS[column]}
          <Select
            value={columns[column] ?? ''}
            onChange={(event) => onChoose(column, event.target.value === '' ? undefined : Number(event.target.value))}
          >
            <option value="">not in the file</option>
            {headings.map((heading, i) => {
              const sample = rows.find((row) => (row[i] ?? '') !== '')?.[i];
              return (
                <option key={i} value={i}>
                  {heading || `column ${i + 1}`}
                  {sample ? `: ${sample.slice(0, 24)}` : ''}
                </option>
              );
            })}
          </Select>
        </label>
      ))}
    </Columns>
  );
}
