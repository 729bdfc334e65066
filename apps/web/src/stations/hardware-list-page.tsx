import { HardwarePreview } from '../imports/hardware-preview';
import { ListImport } from '../imports/list-import';

/** A hardware list: pasted or as a file, compared with the plan, taken in as one step. */
export const HardwareListPage = () => (
  <ListImport
    kind="hardware"
    title="Hardware list"
    about="paste rows of a spreadsheet, or import CSV or XLSX; nothing is stored before you take it in"
    placeholder="Station, slot, quantity, order code, description, revision: in any order, with a row of headings"
    empty="Columns are found by their headings, in any order. What would be added and changed is shown first; rows that cannot be taken say why."
  >
    {(list) => <HardwarePreview list={list} />}
  </ListImport>
);
