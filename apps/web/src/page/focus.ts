const inFrame = (element: Element | null) => element?.closest('header, nav') ?? null;

/** Before going somewhere: the frame gives up the focus, so that the page gone to may take it. */
export function letGoOfFocus(): void {
  const element = document.activeElement;
  if (element instanceof HTMLElement && inFrame(element)) element.blur();
}

/**
 * Whether something is being typed into the frame, as when Ctrl+K came after a jump and before its page stood: a page that
 * took the focus then would have the rest of the word typed into its cells.
 */
export function typingInFrame(): boolean {
  const element = document.activeElement;
  return element instanceof HTMLInputElement && inFrame(element) !== null;
}

/** Whether the page may take the focus when it opens: nothing has it, or a link or button of the frame that led there. */
export function focusIsFree(): boolean {
  const element = document.activeElement;
  if (element === null || element === document.body) return true;
  return inFrame(element) !== null && !typingInFrame();
}
