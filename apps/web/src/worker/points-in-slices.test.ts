import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { apply, set } from '@dialoga/core/change';
import { readProject } from '@dialoga/core/entry';
import { PointList } from '@dialoga/core/pointtest';
import { editPoints, forgetPoints, pointsAtHand, pointsInSlices } from './points-in-slices';

const read = readProject(readFileSync(join(__dirname, '../../../../demo/kestrel-quay-as-agreed.dialoga.json'), 'utf8'));
if (!read.ok) throw new Error('the demo cannot be read');
const { project } = read;

beforeEach(forgetPoints);

test('others are answered while the points are made, and an edit meanwhile is in them', async () => {
  const making = pointsInSlices(project);
  expect(pointsAtHand()).toBeNull();
  const station = [...project.all('station')].find(({ name }) => name === 'PlantCtl')!;
  const made = apply(project, { id: 'c', label: '', changes: [set('station', station, ['name'], 'Another')] });
  if (!made.ok) throw new Error(made.refusal.sentence);
  const after = project.with(made.entities);
  editPoints(after, made.entities);
  const { points } = (await making)!;
  expect(points).toEqual(new PointList(after).all());
  expect(points.points.some(({ from }) => from.at === 'Another')).toBe(true);
  expect(pointsAtHand()!.points).toBe(points);
});

test('of a project that was closed meanwhile nothing is told', async () => {
  const making = pointsInSlices(project);
  forgetPoints();
  expect(await making).toBeNull();
});
