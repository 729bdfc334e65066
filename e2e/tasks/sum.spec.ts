import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '../app';
import { JOBS } from './jobs';

test('all jobs together take less than 45 % of the actions that they took, and each of them is in the table', () => {
  const table = readFileSync(join(import.meta.dirname, '../../docs/numbers.md'), 'utf8').split('\n');
  const jobs = Object.values(JOBS).map((job) => {
    const row = table.find((line) => line.startsWith(`| ${job.name} `))?.split('|');
    expect([job.name, row?.length]).toEqual([job.name, 6]);
    return { before: job.practitioner, here: Number(row?.[4]) };
  });
  const sum = (of: 'before' | 'here') => jobs.reduce((all, job) => all + job[of], 0);
  expect(sum('here') / sum('before')).toBeLessThan(0.45);
});
