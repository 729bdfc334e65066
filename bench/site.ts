import { Project, type Entity, type Kind } from '@dialoga/core/model';
import { planSurvey, surveyOf, type FoundRow } from '@dialoga/core/survey';
import { orderOfWork } from '@dialoga/core/work';
import { apply } from '@dialoga/core/change';
import { middle, timed, type Row } from './row.js';

const FOUND = 5000;
const MOST_MATCH_MS = 2000;
const MOST_ORDER_MS = 200;

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
  let steps = 0;
  const order = middle(Array.from({ length: 9 }, () => timed(() => void (steps = orderOfWork(project).steps.length))));
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
  ];
}
