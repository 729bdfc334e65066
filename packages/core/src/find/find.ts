import { textOf } from '../check/sentence.js';
import type { Finding } from '../finding/finding.js';
import type { Use } from '../lane/occupancy.js';
import type { Project } from '../model/project.js';
import { findAddress } from './addresses.js';
import { symptomsNamed } from '../symptom/symptoms-named.js';
import { HIT_KINDS, type Hit, type HitInPlan } from './hit.js';
import { findNames } from './names.js';

/** What is looked in: a project with its findings and who uses which bits. */
export interface Findable {
  project: Project;
  findings: Iterable<Finding>;
  usesIn: (area: string) => readonly Use[];
}

/**
 * Stations, addresses in any notation, networks, exchanges, lanes, values and findings, by some characters of theirs:
 * addresses first, then what begins with them, each sort after the other; symptoms by their words before findings.
 */
export function find({ project, findings, usesIn }: Findable, query: string, most = 30): Hit[] {
  const text = query.trim();
  if (text === '') return [];
  const addresses = findAddress(project, usesIn, text);
  const names = findNames(project, text, most);
  const lower = text.toLowerCase();
  const found: HitInPlan[] = [];
  for (const finding of findings) {
    if (found.length >= most) break;
    const { headline } = textOf(finding);
    const [cell] = finding.cells;
    if (!cell || !`${finding.code} ${headline}`.toLowerCase().includes(lower)) continue;
    found.push({ kind: 'finding', text: `${finding.code} · ${headline}`, detail: finding.about.name, cell });
  }
  const order = (hit: HitInPlan) => HIT_KINDS.indexOf(hit.kind);
  const room = Math.max(6, most - addresses.length - Math.min(found.length, 6));
  const symptoms = symptomsNamed(text).map(({ id, words, causes }): Hit => ({
    kind: 'symptom',
    text: words,
    detail: `${causes.length} causes`,
    symptom: id,
  }));
  const named = names.slice(0, room).sort((a, b) => order(a) - order(b));
  return [...addresses.slice(0, most), ...named, ...symptoms, ...found].slice(0, most);
}
