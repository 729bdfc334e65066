import { columnsText, fieldsOf, type TagList } from '@dialoga/core/formats';
import { BECOMES, importChanges, type Becomes, type Chosen, type ImportPlan } from '@dialoga/core/tags';
import { proxy } from 'comlink';
import { useEffect, useEffectEvent, useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { newId } from '../api/new-id';
import { Grid } from '../grid/grid';
import { edit } from '../store/editing';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch, useStateOf } from '../store/store';
import { checker } from '../worker/checker';
import type { ReadList } from './list-import';
import { PreviewHead } from './preview-head';
import { IMPORT_COLUMNS, importRows, planWords } from './tag-rows';

const TAKEN: readonly Becomes[] = ['added', 'changed', 'unchanged'];
const counted = (n: number) => n.toLocaleString('en');

/** What would become of a station's tags; taken in as one step or not at all. */
export function TagPreview({ station, list }: { station: string; list: ReadList<'tags'> }) {
  const { project: projectId = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [plan, setPlan] = useState<ImportPlan | null>(null);
  const [without, setWithout] = useState<ReadonlySet<number>>(new Set());
  // A pasted list is seldom the whole: what it does not name stays, unless that is asked for.
  const [drop, setDrop] = useState(list.saved !== null);
  const { rows, read, name, saved } = list;
  const tell = useEffectEvent((done: number, all: number) =>
    list.setBusy(done < all ? `comparing, ${counted(done)} of ${counted(all)} rows` : ''),
  );
  useEffect(() => {
    let current = true;
    void checker()
      .planTags(
        station,
        rows,
        proxy((done: number, all: number) => current && tell(done, all)),
      )
      .then((next) => {
        if (current) setPlan(next);
      });
    return () => {
      current = false;
    };
  }, [rows, station, project]);
  if (!plan || plan.becomes.length !== rows.rows.length) return null;

  const chosen = { without, drop };
  const words = planWords(rows, plan, chosen);
  function take() {
    const source = {
      file: name,
      format: read.format,
      at: new Date().toISOString(),
      saved,
      understood: read.table ? columnsText(read.table.columns, read.table.headings) : '',
    };
    const changes = importChanges(project, station, rows, plan!, source, chosen, newId);
    if (dispatch(edit(`Import ${name}: ${words}`, changes)) !== null) return;
    dispatch(projectSlice.actions.noticed(`Imported: ${words}. One undo takes it back.`));
    void navigate(`/p/${projectId}/tags/${station}`);
  }
  const gone = plan.gone.length;
  return (
    <>
      <PreviewHead
        words={words}
        notes={
          <>
            {read.table && read.table.twice.length > 0 && `${read.table.twice.join(', ')} is a heading twice; `}
            {plan.structures.length > 0 && `brings ${plan.structures.map((s) => s.name).join(', ')}; `}
            {fieldsOf(rows).length === 0 && 'only names were found in it'}
          </>
        }
        option={
          gone > 0
            ? { label: `drop the ${gone} that it no longer has`, checked: drop, onChange: () => setDrop(!drop) }
            : null
        }
        onTake={plan.becomes.some((code) => TAKEN.includes(BECOMES[code]!)) ? take : null}
      />
      <PlanGrid {...{ station, list: rows, plan, without, drop }} onToggle={setWithout} />
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
