/** What is done in a step; also what its rules go by. */
export const STEP_KINDS = [
  'own adapter',
  'look',
  'set by cable',
  'address',
  'device name',
  'rotary switch',
  'read in',
  'description',
  'outputs safe',
  'load',
  'start',
  'restart',
  'publish',
  'connect',
  'test',
  'set back',
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** Something that must be there before a step begins. */
export interface Need {
  what: string;
  /** how it stands with that; empty: nobody has said */
  stands: string;
}

/** What will look wrong, and is not, until another step. */
export interface Misleading {
  what: string;
  until: string;
}

/** One thing to do on site. */
export interface Step {
  /** the same as long as it is the same thing, whatever it is set to: `load plantctl` */
  key: string;
  kind: StepKind;
  /** where it is done */
  station: string;
  /** the network or exchange that it is about, where it is about one */
  about: string | null;
  /** who answers for that station; empty: nobody is named */
  who: string;
  /** what is done, in a sentence without its full stop */
  what: string;
  /** values that it gets into the station, as settings point at them */
  fields: readonly string[];
  needs: readonly Need[];
  /** what it does to the plant; empty: nothing */
  effect: string;
  misleads: readonly Misleading[];
  /** what proves that it was done */
  proof: string;
  /** equal as long as what it rests on is: another one reopens it */
  basis: string;
}
