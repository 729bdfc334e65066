/**
 * Of the own edits that can be undone, oldest first, those that were made before something was found: up to and with `since`;
 * none where it was there when the project was opened, or where that edit is taken back.
 */
export function editsBefore(undo: readonly string[], since: string | undefined): readonly string[] {
  return since === undefined ? [] : undo.slice(0, undo.lastIndexOf(since) + 1);
}
