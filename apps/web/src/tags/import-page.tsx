import { columnsText, fieldsOf, type TagList } from '@dialoga/core/formats';
import { BECOMES, importChanges, lastImport, type Becomes, type Chosen, type ImportPlan } from '@dialoga/core/tags';
import { unreadSentence } from '@dialoga/core/text';
import { proxy } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import { useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { NothingHere } from '../page/nothing-here';
import { Grid } from '../grid/grid';
import { edit } from '../store/editing';
import { newId } from '../api/new-id';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import { BoxButton, Empty, PageTitle, Section, SectionHead } from '../theme/parts';
import { colour, size, space } from '../theme/tokens';
import { checker } from '../worker/checker';
import { openTagFile, type TagFile } from '../worker/tag-file';
import type { FileChoice, FileRead } from '../worker/tag-file.worker';
import { hasOwnAddresses } from './own-addresses';
import { ColumnChoices, Understood } from './file-understood';
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

const Drop = styled.div<{ $over: boolean }>`
  border: 1px ${({ $over }) => ($over ? 'solid' : 'dashed')} ${colour.edge};
  padding: ${space[4]}px;
`;

const TAKEN: readonly Becomes[] = ['added', 'changed', 'unchanged'];
const counted = (n: number) => n.toLocaleString('en');

/** A file of tags: how it was understood, what it would do, and taken in as one step or not at all. */
export function ImportPage() {
  const { project: projectId = '', station: id = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [file, setFile] = useState<TagFile | null>(null);
  /** the worker has it, and it can be read */
  const [open, setOpen] = useState(false);
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

  function bringIn(chosen: File | undefined) {
    if (!chosen) return;
    giveUp();
    setChoice({});
    setWithout(new Set());
    setBusy(`reading ${chosen.name}`);
    setFile(openTagFile(chosen));
  }
  function giveUp() {
    setFile(null);
    setOpen(false);
    setRead(null);
    setPlan(null);
    setBusy('');
    setProblem(null);
  }
  // The worker of the file ends with the page, or with another file.
  useEffect(() => {
    if (!file) return;
    let current = true;
    void file.opened.then((refused) => {
      if (!current) return;
      setOpen(refused === null);
      setProblem(refused);
      if (refused === null) return;
      setBusy('');
      setFile(null);
    });
    return () => {
      current = false;
      file.close();
    };
  }, [file]);
  useEffect(() => {
    if (!file || !open) return;
    let current = true;
    const remembered = choice.columns ? undefined : last?.understood;
    const tell = (rows: number) => current && setBusy(`reading ${file.name}, ${counted(rows)} rows`);
    void file.read({ ...choice, ownAddresses, ...(remembered ? { remembered } : {}) }, tell).then((next) => {
      if (!current) return;
      setBusy('');
      setRead(next);
    });
    return () => {
      current = false;
    };
  }, [file, open, choice, ownAddresses, last]);
  useEffect(() => {
    if (!read?.list.ok) return;
    let current = true;
    const tell = (done: number, all: number) =>
      current && setBusy(done < all ? `comparing, ${counted(done)} of ${counted(all)} rows` : '');
    void checker()
      .planTags(id, read.list.value, proxy(tell))
      .then((next) => {
        if (!current) return;
        setBusy('');
        setPlan(next);
      });
    return () => {
      current = false;
    };
  }, [read, id, project]);

  if (!station) {
    return (
      <NothingHere what="There is no such station." back={{ to: `/p/${projectId}/tags`, label: 'All stations' }} />
    );
  }
  function take() {
    if (!plan || !file || !read?.list.ok) return;
    const source = {
      ...{ file: file.name, format: read.format, at: new Date().toISOString(), saved: file.saved },
      understood: read.table ? columnsText(read.table.columns, read.table.headings) : '',
    };
    const changes = importChanges(project, id, read.list.value, plan, source, { without, drop }, newId);
    const words = planWords(read.list.value, plan, { without, drop });
    if (dispatch(edit(`Import ${file.name}: ${words}`, changes)) !== null) return;
    dispatch(projectSlice.actions.noticed(`Imported: ${words}. One undo takes it back.`));
    void navigate(`/p/${projectId}/tags/${id}`);
  }
  const list = read?.list.ok ? read.list.value : null;
  const shown = list && plan?.becomes.length === list.rows.length ? { list, plan } : null;
  return (
    <>
      <PageTitle>
        <h1>Tags for {station.name}</h1>
        <p>import a list as it is: CSV, XLSX, PLCopen XML, or declarations of IEC 61131-3</p>
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
            bringIn(event.dataTransfer.files[0]);
          }}
        >
          <Row>
            <FileTrigger
              acceptedFileTypes={['.csv', '.tsv', '.txt', '.xlsx', '.xml', '.st', '.iec', '.exp']}
              onSelect={(files) => bringIn(files?.[0])}
            >
              <BoxButton autoFocus>{file ? 'Another file …' : 'Choose a file …'}</BoxButton>
            </FileTrigger>
            {!file && <span>or drop it here; nothing is stored before you take it in</span>}
            {busy !== '' && <span role="status">{busy} …</span>}
            {file && read && <Understood read={read} onChoose={(more) => setChoice({ ...choice, ...more })} />}
            {(file || busy !== '') && <BoxButton onPress={giveUp}>Cancel</BoxButton>}
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
          <Section aria-label="Preview">
            <SectionHead>
              <h2>{planWords(shown.list, shown.plan, { without, drop })}</h2>
              <p>
                {read!.table && read!.table.twice.length > 0 && `${read!.table.twice.join(', ')} is a heading twice; `}
                {shown.plan.structures.length > 0 && `brings ${shown.plan.structures.map((s) => s.name).join(', ')}; `}
                {fieldsOf(shown.list).length === 0 && 'only names were found in it'}
              </p>
              <span style={{ marginLeft: 'auto' }}>
                <Row>
                  {shown.plan.gone.length > 0 && (
                    <label>
                      <input type="checkbox" checked={drop} onChange={() => setDrop(!drop)} />
                      drop the {shown.plan.gone.length} that it no longer has
                    </label>
                  )}
                  <BoxButton
                    onPress={take}
                    isDisabled={!shown.plan.becomes.some((code) => TAKEN.includes(BECOMES[code]!))}
                  >
                    Import
                  </BoxButton>
                </Row>
              </span>
            </SectionHead>
          </Section>
          <PlanGrid station={id} {...shown} without={without} drop={drop} onToggle={setWithout} />
        </>
      )}
    </>
  );
}

interface PlanProps extends Chosen {
  station: string;
  list: TagList;
  plan: ImportPlan;
  onToggle: (without: ReadonlySet<number>) => void;
}

/** Row by row what would become of it, each to be taken or left. */
function PlanGrid({ station, list, plan, without, drop, onToggle }: PlanProps) {
  const project = useStateOf((s) => s.project.project)!;
  const rows = useMemo(() => {
    const toggle = (line: number) => {
      const next = new Set(without);
      if (!next.delete(line)) next.add(line);
      onToggle(next);
    };
    return importRows(project, station, list, plan, { without, drop }, toggle);
  }, [project, station, list, plan, without, drop, onToggle]);
  return <Grid label="What becomes of each tag" main columns={IMPORT_COLUMNS} rows={rows} onEdit={() => undefined} />;
}
