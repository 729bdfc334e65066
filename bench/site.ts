import { Project, type Entity, type Kind } from '@dialoga/core/model';
import { planSurvey, surveyOf, type FoundRow } from '@dialoga/core/survey';
import { KeptWork, orderOfWork } from '@dialoga/core/work';
import { apply, set } from '@dialoga/core/change';
import { PointList, recordsByPoint, standingOf, type Point } from '@dialoga/core/pointtest';
import { middle, timed, type Row } from './row.js';

const FOUND = 5000;
const MOST_MATCH_MS = 2000;
const MOST_ORDER_MS = 200;
const POINTS = 20_000;
const MOST_LIST_MS = 100;

/** What the work on site works out: a long list of found devices beside the plan, and the order of work after an edit. */
export function siteRows(entities: Partial<Record<Kind, Entity[]>>): Row[] {
  const project = Project.of(entities);
  const ports = [...project.all('port')].filter(({ address }) => address !== '');
  const rows = Array.from({ length: FOUND }, (_, i): FoundRow => {
    const port = ports[i % ports.length]!;
    const hardware = `02005e${i.toString(16).padStart(6, '0')}`;
    return { line: i + 2, facts: { hardware, address: port.address, deviceName: `found-${i}` }, remark: '', seen: '' };
  });
  const seen = { by: 'bench', at: '2026-11-30T10:00:00.000Z', how: 'list' };
  let next = 0;
  const match = middle(
    Array.from({ length: 5 }, () =>
      timed(() => {
        const { changes } = planSurvey(project, rows, seen, () => `found${next++}`);
        const made = apply(project, { id: 'found', label: '', changes });
        if (!made.ok) throw new Error(made.refusal.sentence);
        if (surveyOf(project.with(made.entities)).rows.length !== FOUND) throw new Error('rows are missing');
      }),
    ),
  );
  const { ms: order, steps } = orderAfterEdits(project);
  return [
    {
      work: `${FOUND} found devices read into the survey and laid beside ${project.count('station')} stations`,
      figure: `${match.toFixed(0)} ms`,
      aim: `under ${MOST_MATCH_MS} ms`,
      met: match < MOST_MATCH_MS,
    },
    {
      work: `order of work of ${project.count('station')} stations, ${steps} steps`,
      figure: `${order.toFixed(0)} ms`,
      aim: `under ${MOST_ORDER_MS} ms`,
      met: order < MOST_ORDER_MS,
    },
    pointsRow(project),
  ];
}

/** The order of work after another address of a station was typed, several times. */
function orderAfterEdits(project: Project): { ms: number; steps: number } {
  const ports = [...project.all('port')].filter(({ address }) => address !== '');
  const kept = new KeptWork(project);
  let [now, steps] = [project, orderOfWork(project, kept).steps.length];
  const times = ports.slice(0, 9).map((port) => {
    const changes = [set('port', port, ['address'], '10.250.0.1')];
    const made = apply(now, { id: port.id, label: '', changes });
    if (!made.ok) throw new Error(made.refusal.sentence);
    now = now.with(made.entities);
    return timed(() => {
      kept.edit(now, made.entities);
      steps = orderOfWork(now, kept).steps.length;
    });
  });
  return { ms: middle(times), steps };
}

/** Which of many points are left to do, with a record of every fourth: what the page works out after each key. */
function pointsRow(project: Project): Row {
  let points: readonly Point[] = [];
  const made = timed(() => void (points = new PointList(project).all().points));
  const own = points.slice(0, POINTS);
  const said = { revision: 1, by: 'bench', at: '2026-11-30T10:00:00.000Z', name: '', order: 10 } as const;
  const records = own
    .filter((_, i) => i % 4 === 0)
    .map(({ key, basis }, i) => ({ ...said, id: `r${i}`, point: key, basis, result: 'seen', view: 'tool' }) as const);
  const changes = records.map((after) => ({ kind: 'point', id: after.id, path: [], after }) as never);
  const applied = apply(project, { id: 'points', label: '', changes });
  if (!applied.ok) throw new Error(applied.refusal.sentence);
  const tested = project.with(applied.entities);
  let left = 0;
  const list = middle(
    Array.from({ length: 9 }, () =>
      timed(() => {
        const byPoint = recordsByPoint(tested);
        left = own.filter((point) => standingOf(point, byPoint.get(point.key)).state === 'to test').length;
      }),
    ),
  );
  if (left !== own.length - records.length) throw new Error('points are missing');
  return {
    work: `${own.length} points cut down to those left (all ${points.length} made once in ${(made / 1000).toFixed(1)} s, off the page)`,
    figure: `${list.toFixed(0)} ms`,
    aim: `under ${MOST_LIST_MS} ms`,
    met: list < MOST_LIST_MS,
  };
}
