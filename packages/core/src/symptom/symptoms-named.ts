import { SYMPTOMS } from './catalogue.js';
import type { Symptom } from './symptom.js';

/** Symptoms whose words hold every word that was typed, those that begin with it first. */
export function symptomsNamed(typed: string): Symptom[] {
  const asked = typed.trim().toLowerCase();
  const words = asked.split(/\s+/).filter((word) => word !== '');
  if (words.length === 0 || asked.length < 3) return [];
  const texts = ({ words: own, also }: Symptom) => [own, ...also].map((text) => text.toLowerCase());
  const fits = SYMPTOMS.filter((one) => texts(one).some((text) => words.every((word) => text.includes(word))));
  const begins = (one: Symptom) => texts(one).some((text) => text.startsWith(asked));
  return fits.sort((a, b) => Number(begins(b)) - Number(begins(a)));
}

export const symptomOf = (id: string): Symptom | undefined => SYMPTOMS.find((one) => one.id === id);
