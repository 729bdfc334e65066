import { editField, fieldText, pathOf, type Rows } from '@dialoga/core/fields';
import { cellText } from '../findings/cell-text';
import { useWrongCells } from '../findings/use-wrong-cells';
import { InlineInput } from '../forms/inline-input';
import { InlineSelect } from '../forms/inline-select';
import { useStateOf } from '../store/store';
import { useEdits } from '../store/use-edits';
import { typingNow } from './use-shown';

interface Props<Row, Id extends string> {
  of: Rows<Row, Id>;
  row: Row;
  field: NoInfer<Id>;
  /** in place of the field's own title */
  label?: string;
  /** what stands there while nothing is said */
  empty?: string;
  /** one of its words is chosen, in place of being typed; with `empty` it can be none */
  choice?: boolean;
  /** of the undo step; `Edit exchange` where nothing is said */
  step?: string;
  /** what is done with a typed text, where that is more than the field's own edit */
  onCommit?: (text: string) => void;
}

/** A field of a row in a form or a sentence: shown, typed and marked as in every table. */
export function FieldInput<Row, Id extends string>(props: Props<Row, Id>) {
  const { of, row, field: id, empty, choice = false, onCommit } = props;
  const project = useStateOf((s) => s.project.project)!;
  const commit = useEdits();
  const wrong = useWrongCells(of.kind);
  const field = of.fields[id];
  const ref = of.refOf(row);
  const path = pathOf(id, field);
  const value = fieldText(of, id, row, project);
  const put =
    onCommit ??
    ((text: string) => commit(props.step ?? `Edit ${of.one}`, [editField(of, id, row, text, typingNow(project))]));
  const shared = {
    ...(path ? { id: cellText({ ...ref, path: [...ref.path, ...path] }) } : {}),
    label: props.label ?? field.title,
    value,
    about: field,
    differs: path !== null && wrong(ref.id, ...ref.path, ...path),
  };
  if (!choice) {
    return <InlineInput {...shared} placeholder={empty ?? ''} mono={field.mono ?? false} onCommit={put} />;
  }
  const words = typeof field.options === 'function' ? field.options(row, project) : (field.options ?? []);
  const options = words.map((word) => ({ value: word, text: word }));
  return (
    <InlineSelect
      {...shared}
      options={empty === undefined ? options : [{ value: '', text: empty }, ...options]}
      onChoose={put}
    />
  );
}
