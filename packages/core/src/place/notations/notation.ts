import type { View } from '../../model/view.js';
import type { Unit } from '../../model/words.js';

/** What a notation can say of a place inside a view. */
export interface Spot {
  number: number;
  /** bits of the named element, for notations that name it */
  width?: Unit;
  bit?: number;
}

/** One way to write addresses. Adding one is a new file and a line in catalogue.ts. */
export interface Notation {
  /** null where the text is of another notation; a string says why a text of this notation cannot be */
  parse(text: string, view: View): Spot | string | null;
  /** the inverse of `parse` on everything legal */
  format(spot: Spot, view: View): string;
  /** a legal address of this view, for error messages */
  example(view: View): string;
}
