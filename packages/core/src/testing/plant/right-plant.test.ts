import { CheckEngine } from '../../check/engine.js';
import { textOf } from '../../check/sentence.js';
import { plain } from '../../finding/sentence.js';
import type { Project } from '../../model/project.js';
import { oracleRuns, printedSeed } from '../oracle.testing.js';
import { PARTS, rightPlant, type PartName } from './right-plant.testing.js';

/** Doubts that only a person can answer, each with the reason why; there are none. */
const ASKED: Readonly<Record<string, string>> = {};

/** Everything that is found in a plant in which nothing is wrong, and every lane that is not agreed. */
function falseAlarms(project: Project): string[] {
  const engine = new CheckEngine(project);
  const found = [...engine.findings.values()].filter(({ code }) => !(code in ASKED));
  return [
    ...found.map((finding) => {
      const { headline, says } = textOf(finding);
      return `${finding.code} (${finding.severity}) ${headline}: ${says.map(plain).join(' / ')}`;
    }),
    ...[...engine.laneResults].flatMap(([id, { verdict, unknown }]) =>
      verdict === 'agreed' ? [] : [`lane ${id} is ${verdict}: ${unknown ?? ''}`],
    ),
  ];
}

const seed = printedSeed('right plants');

test.each(Object.keys(PARTS) as PartName[])('%s, right by construction, is silent', (part) => {
  for (let i = 0; i < oracleRuns(10); i++) {
    expect({ seed: seed + i, found: falseAlarms(rightPlant(seed + i, [part])) }).toEqual({ seed: seed + i, found: [] });
  }
});

test('plants of several parts, whose stations take part in several exchanges, are silent', () => {
  for (let i = 0; i < oracleRuns(60); i++) {
    expect({ seed: seed + i, found: falseAlarms(rightPlant(seed + i)) }).toEqual({ seed: seed + i, found: [] });
  }
});
