import { tagRows, writeCsv, type ListedTag } from '@dialoga/core/formats';
import type { Tag } from '@dialoga/core/model';
import { seriesName } from '@dialoga/core/tags';

export const PANEL_FIRST_FILE = 'dock-panel-tags.csv';

/** A tag of the dock panel, and the words of PlantCtl that it stands for. */
export interface PanelPoint {
  id: string;
  name: string;
  /** the tag of PlantCtl */
  theirs: string;
  word: number;
  type: string;
  count: number;
  does: 'reads' | 'both';
  more: Partial<Tag>;
}

/** The dock panel's list as it was first brought in. */
export function panelPoints(): PanelPoint[] {
  const point = (
    id: string,
    name: string,
    theirs: string,
    word: number,
    rest: Partial<PanelPoint> = {},
  ): PanelPoint => ({
    id,
    name,
    theirs,
    word,
    type: 'INT',
    count: 1,
    does: 'reads',
    more: {},
    ...rest,
  });
  const series = (count: number, of: (i: number) => PanelPoint) => Array.from({ length: count }, (_, i) => of(i));
  return [
    point('dockstates', 'Dock_States', 'DockStates', 700, {
      type: 'WORD',
      count: 4,
      more: { comment: 'a bit a dock' },
    }),
    point('docktemp', 'Dock_Temperature', 'DockTemp', 704, {
      type: 'REAL',
      more: { unit: '°C', element: 'number shown' },
    }),
    point('dooropentime', 'Door_Open_Time', 'DoorOpenTime', 710, {
      does: 'both',
      more: { unit: 's', element: 'number entry', comment: 'before it closes by itself' },
    }),
    point('storesetpoint', 'Store_Setpoint', 'StoreSetpoint', 720, {
      does: 'both',
      more: { unit: '0.1 °C', element: 'number entry' },
    }),
    point('lamptest', 'Lamp_Test', 'LampTest', 712, { type: 'WORD', does: 'both' }),
    ...series(12, (i) =>
      point(`count${i + 1}`, seriesName('Dock_Count_01', i), seriesName('DockCount01', i), 742 + i, {
        more: { comment: `pallets through dock ${i + 1}` },
      }),
    ),
    ...series(12, (i) =>
      point(`delay${i + 1}`, seriesName('Dock_Delay_01', i), seriesName('DockDelay01', i), 780 + i, {
        does: 'both',
        more: { unit: 's' },
      }),
    ),
    ...series(11, (i) =>
      point(`load${i + 1}`, seriesName('Dock_Load_01', i), seriesName('DockLoad01', i), 800 + 2 * i, {
        type: 'REAL',
        more: { unit: 'kg', scaling: { rawLow: 0, rawHigh: 27648, low: 0, high: 1250.5 } },
      }),
    ),
  ];
}

/** One row of the panel's own list: its columns in the order of its tool, in another language, with decimal commas. */
const COLUMNS = [
  'Bemerkung',
  'Typ',
  'Adresse',
  'Variablenname',
  'Datentyp',
  'Zugriff',
  'Einheit',
  'Skalierung',
] as const;

interface ListRow {
  point: PanelPoint;
  comment?: string;
  type?: string;
  word?: number;
}

const declared = ({ type, count }: PanelPoint): string => (count === 1 ? type : `ARRAY[0..${count - 1}] OF ${type}`);

function listText(rows: readonly ListRow[]): string {
  const cells = rows.map(({ point, comment, type, word }) => {
    const { more, does } = point;
    const scaling = more.scaling && 'rawLow' in more.scaling ? more.scaling : null;
    const numbers = scaling
      ? `${scaling.rawLow}–${scaling.rawHigh} = ${scaling.low}–${String(scaling.high).replace('.', ',')}`
      : '';
    return [
      comment ?? more.comment ?? '',
      more.element ? 'Anzeige' : '',
      `%MW${word ?? point.word}`,
      point.name,
      type ?? declared(point),
      does === 'both' ? 'Lesen/Schreiben' : 'Lesen',
      more.unit ?? '',
      numbers,
    ];
  });
  return writeCsv([[...COLUMNS], ...cells], ';');
}

/** `dock-panel-tags.csv`: semicolons, decimal commas, headings in another order and language. */
export const dockPanelTags = (): string => listText(panelPoints().map((point) => ({ point })));

/** Next month's list: four changed, two gone, three new. */
export function dockPanelTagsNext(): string {
  const changed: Record<string, Omit<ListRow, 'point'>> = {
    count1: { comment: 'pallets through dock 1, empty ones too' },
    count2: { type: 'DINT' },
    delay12: { word: 795 },
    dooropentime: { comment: 'before it closes by itself, at most' },
  };
  const gone = new Set(['count12', 'lamptest']);
  const fresh = ['Dock_Blocked', 'Dock_Lights', 'Quay_Wind'].map((name, i): ListRow => ({
    point: {
      id: name,
      name,
      theirs: '',
      word: 830 + i,
      type: 'WORD',
      count: 1,
      does: 'reads',
      more: {},
    },
  }));
  const kept = panelPoints().filter(({ id }) => !gone.has(id));
  return listText([...kept.map((point) => ({ point, ...changed[point.id] })), ...fresh]);
}

/** Rows of the skid's register list, as its supplier keeps them in a workbook. */
export function skidRegisters(): string[][] {
  const tag = (name: string, type: string, place: string, comment: string): ListedTag => ({
    line: 0,
    name,
    says: { type, place, comment },
  });
  return tagRows(
    [
      tag('Permit', 'WORD', 'w1240', 'permissives, a bit each'),
      tag('Setp', 'REAL', 'w1242', 'first of four set-points'),
      tag('Stat', 'WORD', 'w1260', 'status words'),
      tag('Press', 'REAL', 'w1264', 'first of the pressures'),
      tag('Hours', 'UDINT', 'w1300', 'running hours'),
      tag('Starts', 'UINT', 'w1302', 'starts of the compressor'),
    ],
    ['type', 'place', 'comment'],
  );
}
