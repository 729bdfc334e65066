/** Text that was read, or why it could not be: what was found, and what would be right. */
export type Read<T> =
  | { ok: true; value: T }
  | {
      ok: false;
      found: string;
      expected: string;
      /** it is of a notation known here, and names what cannot be there: a number outside its table, a bit too many */
      outside?: true;
    };

export const read = <T>(value: T): Read<T> => ({ ok: true, value });
export const unread = (found: string, expected: string): Read<never> => ({ ok: false, found, expected });

/** `"abc" is not an address here; write %MW100 or 400101` */
export function unreadSentence(miss: { found: string; expected: string }): string {
  return `${miss.found}; ${miss.expected}`;
}

/** A typed text without blanks around it, and one blank where there were several: so no pattern has to try how many. */
export const squeezed = (text: string): string => text.trim().replace(/\s+/g, ' ');
