import { dropWithDependents } from '@dialoga/core/change';
import { editSetting, type SettingColumn } from '@dialoga/core/fields';
import { SETTING_STATES, SETTING_WAYS, type Station } from '@dialoga/core/model';
import { fieldsToSet, type FieldToSet } from '@dialoga/core/setting';
import { useGridLink, type Shown } from '../findings/use-grid-link';
import type { GridCell, GridColumn, GridRow } from '../grid/types';
import { newId } from '../api/new-id';
import { useStateOf } from '../store/store';
import { rememberedName } from '../wiring/remembered-name';
import { formatWhen } from '../words/when';
import { SmallGrid } from '../grid/small-grid';
import { useTable } from '../grid/use-table';
import { useEdits } from '../store/use-edits';

const FIELDS: readonly (SettingColumn | null)[] = [null, null, 'found', 'state', 'how', 'firmware', 'was', null];
const SHOWN: Shown = { kind: 'setting', fields: FIELDS };
const COLUMNS: readonly GridColumn[] = [
  { id: 'what', title: 'Setting', names: true, track: 'minmax(230px, 1.8fr)' },
  { id: 'planned', title: 'Planned', track: 'minmax(120px, 1fr)' },
  { id: 'found', title: 'Found', track: 'minmax(110px, 1fr)' },
  { id: 'state', title: 'Sent', track: '160px' },
  { id: 'how', title: 'How it is changed', track: '160px' },
  { id: 'firmware', title: 'With firmware', track: '96px' },
  { id: 'was', title: 'Restore to', track: 'minmax(110px, 1fr)' },
  { id: 'said', title: 'Recorded by', track: 'minmax(130px, 1fr)' },
];

/** Every value that has to be got into this station, whether it was sent since it changed, and whether it is in force. */
export function SettingsGrid({ station }: { station: Station }) {
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const fields = fieldsToSet(project, station);
  const link = useGridLink(SHOWN);
  const rowId = (row: FieldToSet) => row.setting?.id ?? `new ${row.field}`;
  const rowFor = (row: FieldToSet): GridRow => {
    const { setting } = row;
    const cell = (text: string, more: Partial<GridCell> = {}): GridCell => ({ text, editable: true, ...more });
    const found = setting?.found ?? '';
    const plain = row.cell.path.length > 0;
    return {
      id: rowId(row),
      height: 22,
      cells: [
        { text: row.what },
        { text: row.text, mono: plain },
        plain ? cell(found, { mono: true, differs: found !== '' && found !== row.text }) : null,
        cell(setting?.state ?? 'not sent', {
          options: SETTING_STATES,
          show: row.state,
          muted: row.state === 'not sent',
          differs: row.state === 'changed since sent',
        }),
        cell(setting?.how ?? '', { options: SETTING_WAYS }),
        cell(setting?.firmware ?? '', { mono: true }),
        plain ? cell(setting?.was ?? '', { mono: true }) : null,
        { text: setting?.at ? `${setting.by || 'not named'}, ${formatWhen(setting.at)}` : '', muted: true },
      ],
    };
  };

  const table = useTable({
    ...{ label: 'Edit settings', columns: COLUMNS, rows: fields.map(rowFor) },
    edit(now, row, column, text) {
      const said = { by: rememberedName(), at: new Date().toISOString() };
      const at = fields.find((f) => rowId(f) === row);
      const field = FIELDS[column];
      return at && field ? [editSetting(now, station.id, at, field, text, newId(), said)] : [];
    },
  });
  return (
    <SmallGrid
      label="Settings"
      {...table}
      link={link}
      onDrop={(id) =>
        commit('Clear setting status', [{ changes: dropWithDependents(project, 'setting', id), problem: null }])
      }
    />
  );
}
