import type { Project } from '../model/project.js';
import { smallPlant } from './random-edits.testing.js';
import { codesOf, edited, fixed, theFinding, wordsOf, type FieldEdit } from './two-stations.testing.js';

/** The small plant, in which nothing is found, after these edits. */
export const plant = (...edits: FieldEdit[]): Project => edited(smallPlant(), ...edits);

/** All words of the one finding of this code that the edits bring. */
export const words = (code: string, ...edits: FieldEdit[]): string => wordsOf(theFinding(plant(...edits), code));

/** What is still found after the first fix of that finding. */
export function mended(code: string, ...edits: FieldEdit[]): string[] {
  const project = plant(...edits);
  return codesOf(fixed(project, theFinding(project, code)));
}
