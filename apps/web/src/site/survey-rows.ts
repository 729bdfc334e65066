import type { FoundDevice, Project } from '@dialoga/core/model';
import { toCorrect, type Surveyed } from '@dialoga/core/survey';
import type { GridCell, GridRow } from '../grid/types';
import { formatWhen } from '../words/when';
import type { SurveyNow } from './use-survey';

/** What can be done with a row. */
export interface Deciding {
  adopt: (row: Surveyed) => void;
  correct: (row: Surveyed) => void;
  ask: (row: Surveyed) => void;
  notOurs: (row: Surveyed) => void;
  /** it is to be decided again */
  again: (row: Surveyed) => void;
}

const STATE_WORDS: Readonly<Record<Surveyed['state'], string>> = {
  agrees: 'agrees',
  'to decide': 'to decide',
  adopt: 'adopted',
  correct: 'to correct',
  ask: 'asked',
  'not ours': 'not ours',
};
const ROW = 26;
const SENTENCE = 28;

/** Found at the left, planned at the right; under a row that is to be decided why, and what can be done; at the end what was not seen. */
export function surveyRows(project: Project, { rows, missing }: SurveyNow, deciding: Deciding): GridRow[] {
  const stations = [...project.all('station')].map(({ name }) => name);
  const found = rows.flatMap((row) => {
    const device = project.get('found', row.id);
    if (!device) return [];
    const below = underneath(row, device, deciding);
    return [deviceRow(project, row, device, stations), ...(below ? [below] : [])];
  });
  const absent = missing.map(({ station, port, network, wait }): GridRow => {
    const words = wait === 0 ? 'not seen' : `not yet, ${Math.ceil(wait / 1000)} s`;
    const where = project.get('network', network)?.name ?? '';
    return {
      id: `missing-${port}`,
      height: ROW,
      cells: [
        {
          text: wait === 0 ? `Nobody found it on ${where}` : `${where} was looked at; it may still be heard of`,
          through: 3,
          muted: true,
        },
        null,
        null,
        null,
        { text: words },
        { text: project.get('station', station)?.name ?? '' },
        { text: project.get('port', port)?.address ?? '', mono: true },
        { text: '' },
      ],
    };
  });
  return [...found, ...absent];
}

function deviceRow(project: Project, row: Surveyed, device: FoundDevice, stations: readonly string[]): GridRow {
  const muted = row.state === 'not ours';
  const differs = new Set(row.differences.map(({ fact }) => fact));
  const planned = row.station === null ? undefined : project.get('station', row.station);
  const port = row.port === null ? undefined : project.get('port', row.port);
  const likely = row.mayBe.map(({ name }) => name);
  const what = [device.type, device.orderCode, device.revision].filter(Boolean).join(', ');
  return {
    id: row.id,
    height: ROW,
    cells: [
      { text: device.deviceName || '–', muted, differs: differs.has('deviceName') },
      { text: device.address || '–', mono: true, muted, differs: differs.has('address') },
      { text: device.hardware ?? '', mono: true, muted: true, differs: differs.has('hardware') },
      {
        text: what,
        muted,
        differs: ['type', 'orderCode', 'revision', 'slots'].some((fact) => differs.has(fact as 'type')),
      },
      { text: STATE_WORDS[row.state], muted: row.state === 'agrees' || muted },
      {
        text: planned?.name ?? '',
        editable: true,
        options: [...likely, ...stations.filter((name) => !likely.includes(name))],
      },
      { text: port?.address ?? '', mono: true, differs: differs.has('address') },
      { text: `${device.by || 'not named'}, ${formatWhen(device.at)}`, muted: true },
    ],
  };
}

/** Why a row is to be decided, with what can be done; or what was decided of it. */
function underneath(row: Surveyed, device: FoundDevice, deciding: Deciding): GridRow | null {
  if (row.state === 'agrees' || row.state === 'adopt') return null;
  const open = row.state === 'to decide';
  const act = (label: string, does: (row: Surveyed) => void): GridCell => ({
    text: label,
    action: { label: `${label}: ${device.deviceName || device.address || 'this device'}`, run: () => does(row) },
  });
  return {
    id: `${row.id} why`,
    height: SENTENCE,
    tone: 'difference',
    cells: [
      { text: capital(open ? row.why : decisionWords(row, device)), through: 3 },
      null,
      null,
      null,
      open ? act('Adopt', deciding.adopt) : act('Decide again', deciding.again),
      open ? act('Correct the device', deciding.correct) : null,
      open ? act('Ask …', deciding.ask) : null,
      open ? act('Not ours', deciding.notOurs) : null,
    ],
  };
}

const capital = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

function decisionWords(row: Surveyed, device: FoundDevice): string {
  const by = device.decidedBy ? `, says ${device.decidedBy}` : '';
  if (row.state === 'correct') return `${toCorrect(row).join('; ') || 'it is as planned now'}${by}`;
  if (row.state === 'ask') return `${device.question ?? ''}${by}`;
  return `it is no device of this project${by}`;
}
