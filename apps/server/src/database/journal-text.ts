import type { EntityManager } from 'typeorm';
import { MOST_NEWS_BODY } from '../edge/limits.js';
import { readParts } from './journal.js';
import { journalPartTable, journalTable } from './tables.js';

/** Bytes of changes after which a reading stops, so that an answer stays of bounded size. */
const MOST_BYTES = { news: MOST_NEWS_BODY, little: 500_000, much: 16_000_000 } as const;
const MOST_ROWS = 1000;

interface Row {
  revision: number;
  made: Date;
  author: string | null;
  change_set: string;
  label: string;
  bytes: string | number;
}

/**
 * The change sets after a revision, in order, as the text of a JSON list: as many as fit, at least one where there is
 * one. What they change is taken as it is stored, without being read. Null where the first is larger than
 * what was asked for, unless that is `much`.
 */
export async function journalText(
  manager: EntityManager,
  project: string,
  after: number,
  size: keyof typeof MOST_BYTES,
): Promise<string | null> {
  const rows = await manager
    .createQueryBuilder(journalTable, 'j')
    .select('j.revision', 'revision')
    .addSelect('j.made', 'made')
    .addSelect('j.author', 'author')
    .addSelect('j.change_set', 'change_set')
    .addSelect('j.label', 'label')
    .addSelect(
      (parts) =>
        parts
          .select('SUM(LENGTH(p.body))')
          .from(journalPartTable, 'p')
          .where('p.project = j.project AND p.revision = j.revision'),
      'bytes',
    )
    .where('j.project = :project AND j.revision > :after', { project, after })
    .orderBy('j.revision')
    .limit(MOST_ROWS)
    .getRawMany<Row>();
  if (rows.length === 0) return '[]';
  let bytes = 0;
  const fitting = rows.filter(
    (row, i) => (bytes += Number(row.bytes)) <= MOST_BYTES[size] || (i === 0 && size === 'much'),
  );
  if (fitting.length === 0) return null;
  const parts = await readParts(manager, project, fitting[0]!.revision, fitting.at(-1)!.revision);
  const bodies = new Map<number, string>();
  for (const { revision, body } of parts) bodies.set(revision, (bodies.get(revision) ?? '') + body);
  const entries = fitting.map(({ revision, made, author, change_set: id, label }) => {
    const head = JSON.stringify({ revision, made, author });
    const set = JSON.stringify({ id, label });
    return `${head.slice(0, -1)},"set":${set.slice(0, -1)},"changes":${bodies.get(revision)}}}`;
  });
  return `[${entries.join(',')}]`;
}
