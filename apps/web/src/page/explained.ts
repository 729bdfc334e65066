/** What is said of a field in the help for it. */
export interface Explained {
  title: string;
  help?: string;
  examples?: readonly string[];
}

let current: (() => Explained | null) | null = null;

/** Tells what the focus is on, as long as it is there. */
export const explain = (what: () => Explained | null): void => {
  current = what;
};
export const explainNothing = (): void => {
  current = null;
};

/** What F1 says of the cell or field that has the focus; null where there is none. */
export const explainedNow = (): Explained | null => current?.() ?? null;
