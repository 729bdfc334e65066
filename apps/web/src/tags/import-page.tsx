import { lastImport } from '@dialoga/core/tags';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import { ListImport } from '../imports/list-import';
import { TagPreview } from '../imports/tag-preview';
import { NothingHere } from '../page/nothing-here';
import { useStateOf } from '../store/store';
import { hasOwnAddresses } from './own-addresses';

/** The tags of a station from a list: what it would do, and taken in as one step or not at all. */
export function ImportPage() {
  const { project: projectId = '', station: id = '' } = useParams();
  const project = useStateOf((s) => s.project.project)!;
  const station = project.get('station', id);
  const last = useMemo(() => lastImport(project, id), [project, id]);
  if (!station) {
    const back = { to: `/p/${projectId}/tags`, label: 'All stations' };
    return <NothingHere what="There is no such station." back={back} />;
  }
  return (
    <ListImport
      kind="tags"
      title={`Tags for ${station.name}`}
      about="import a list as it is: CSV, XLSX, PLCopen XML, or declarations of IEC 61131-3"
      placeholder="Name, type, address, comment …: rows of a spreadsheet, in any order, with a row of headings"
      empty="Columns are found by their headings, in any order. What would be added, changed and dropped is shown first, with what is bound to it; it is taken in whole, as one step, or not at all."
      ownAddresses={hasOwnAddresses(project, id)}
      remembered={last?.understood}
    >
      {(list) => <TagPreview station={id} list={list} />}
    </ListImport>
  );
}
