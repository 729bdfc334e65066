import type { Fact } from '../facts.js';

/** One device as a list has it: only what the list says. */
export interface FoundRow {
  line: number;
  facts: Partial<Record<Fact, string>>;
  remark: string;
  /** when it was seen, as the list has it; empty: not said */
  seen: string;
}
