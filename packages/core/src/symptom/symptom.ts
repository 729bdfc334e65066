/** One cause of a symptom, as it comes up in a plant. */
export interface Cause {
  /** what is wrong, in a sentence without a point */
  says: string;
  /** codes of the rules that find it in a plan; none: no plan shows it */
  codes: readonly string[];
  /** what is done or looked at to tell it from the other causes: one action, and what it shows */
  tell: string;
  /** where the plan has it */
  look: string;
}

/** What a person sees on site, and what may be behind it. */
export interface Symptom {
  id: string;
  words: string;
  /** other words for it */
  also: readonly string[];
  /** the usual ones first */
  causes: readonly Cause[];
  source: string;
}
