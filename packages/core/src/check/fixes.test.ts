import fc from 'fast-check';
import { apply } from '../change/apply.js';
import type { Project } from '../model/project.js';
import { bitLane, projectOf as bitProject } from '../testing/bit-lanes.testing.js';
import { blockLane, projectOf as blockProject } from '../testing/block-lanes.testing.js';
import { lane, projectOf } from '../testing/lanes.testing.js';
import { holds } from '../testing/oracle.testing.js';
import { ruleOf } from './sentence.js';
import { CheckEngine } from './engine.js';
import type { Finding } from '../finding/finding.js';

const anyLane: fc.Arbitrary<Project> = fc.oneof(
  lane.map(projectOf),
  bitLane.map(bitProject),
  blockLane.map(blockProject),
);

const blockers = (engine: CheckEngine): Finding[] =>
  [...engine.findings.values()].filter((f) => f.severity === 'blocker');
/** With those that were behind another: a fix may bring them to light, and did not make them. */
const known = (engine: CheckEngine): Set<string> => new Set([...engine.everything].map(({ key }) => key));

test('asking for fixes never throws, whatever the lane; each can be applied, and none brings a new Blocker', () => {
  holds(
    'fixes',
    anyLane,
    400,
    (project) => {
      const engine = new CheckEngine(project);
      for (const finding of engine.findings.values()) {
        for (const fix of ruleOf(finding.code).fixes?.(finding, project) ?? []) {
          const applied = apply(project, { id: 'f', label: fix.label, changes: fix.changes });
          if (!applied.ok) throw new Error(`${finding.code}: ${applied.refusal.sentence}`);
          const after = new CheckEngine(project.with(applied.entities));
          expect([...after.findings.keys()]).not.toContain(finding.key);
          const before = known(engine);
          const fresh = blockers(after).filter((f) => !before.has(f.key));
          expect(fresh.map((f) => `${finding.code} ${fix.label} → ${f.code}`)).toEqual([]);
        }
      }
    },
    (project) => project,
  );
});
