import { readTable } from '@dialoga/core/formats';
import { HARDWARE_LIST, planList } from '@dialoga/core/hardware';
import { Project, type Entity, type Kind } from '@dialoga/core/model';
import { copiesOf } from '@dialoga/core/told';
import { attachmentsOf, ledgerOf } from '@dialoga/core/wiring';
import Papa from 'papaparse';
import { middle, timed, type Row } from './row.js';

const MOST_LEDGER_MS = 50;
const MOST_LIST_MS = 1000;
const LIST_ROWS = 5000;

/** What the wiring page works out after each edit, and the preview of a hardware list, on the generated project. */
export function wiringRows(entities: Partial<Record<Kind, Entity[]>>): Row[] {
  const project = Project.of(entities);
  const network = project.get('network', 'n7')!;
  const port = project.get('port', 'p30')!;
  const beside = middle(
    Array.from({ length: 15 }, () =>
      timed(() => {
        attachmentsOf(project);
        ledgerOf(project, network);
        copiesOf(project, port);
      }),
    ),
  );
  const text = hardwareList();
  const parse = middle(Array.from({ length: 5 }, () => timed(() => void Papa.parse(text))));
  const preview = middle(Array.from({ length: 5 }, () => timed(() => planned(project, text))));
  return [
    {
      work: `attachment table, ledger and ‘also typed in’ of ${project.count('station')} stations, ${project.count('network')} networks`,
      figure: `${beside.toFixed(1)} ms`,
      aim: `under ${MOST_LEDGER_MS} ms`,
      met: beside < MOST_LEDGER_MS,
    },
    {
      work: `a hardware list of ${LIST_ROWS} rows previewed, beyond the bare parser’s ${parse.toFixed(0)} ms`,
      figure: `${(preview - parse).toFixed(0)} ms`,
      aim: `under ${MOST_LIST_MS} ms`,
      met: preview - parse < MOST_LIST_MS,
    },
  ];
}

function hardwareList(): string {
  const rows = Array.from({ length: LIST_ROWS }, (_, i) => [
    ...[`Station ${i % 200}`, String(Math.floor(i / 200)), '1,0', `DI-${i % 7}`, 'Digital input', '1.2'],
  ]);
  return [['Station', 'Slot', 'Qty', 'Order code', 'Description', 'Rev'], ...rows].map((r) => r.join(';')).join('\n');
}

function planned(project: Project, text: string): void {
  const table = readTable(text);
  const found = table.ok ? HARDWARE_LIST.understand(table.value, true) : null;
  if (!table.ok || !found) throw new Error('the list of the bench cannot be read');
  let next = 0;
  const rows = HARDWARE_LIST.read(table.value, found.heading, found.columns, 'point');
  if (!rows.ok) throw new Error(rows.found);
  const plan = planList(project, rows.value, 'list', () => `new${next++}`);
  if (plan.modules.length !== LIST_ROWS) throw new Error(`${plan.modules.length} modules, ${plan.faults[0]?.sentence}`);
}
