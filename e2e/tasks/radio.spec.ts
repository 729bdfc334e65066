import { inOrder } from '@dialoga/core/model';
import { expect } from '../app';
import { JOBS } from './jobs';
import { expectAgreed, task } from './task';

task(JOBS.radio, async (doing) => {
  const { page } = doing;
  await doing.paste([
    'MastCtl\tword memory\t10.8.3.1/24, calls on 19200 8E1',
    'Base\tradio base\tunit 21 on 19200 8E1, base 1 on id 77',
    'RepA\tradio unit\trepeater 2',
    'RepB\tradio unit\trepeater 3',
    '',
    'Station\tRotary switch\tOrder code\tDescription\tIn\tOut\tRead in',
    'RepA\t1\tDI-16\tDigital input\t2\t\tyes',
    'RepA\t2\tAI-4\tAnalogue input\t8\t\tyes',
    'RepB\t3\tDO-16\tDigital output\t\t2\tno',
    'RepB\t4\tAI-4\tAnalogue input\t8\t\tyes',
    '',
    'MastCtl → Base',
    'Base → RepA and RepB',
  ]);
  await doing.press('Control+Enter');
  await doing.focused('Exchanges');
  await doing.press('Enter');
  await doing.focused('MastCtl – Base, both ends');
  await doing.paste(['RoofA\treads\t%MW40\tINT x4\tRoofA\twrites\t30009\tINT x4']);
  await doing.sees(page.getByText('1 lane pasted.'));
  await doing.find('findings');
  // The rotary switch of one module was not read in, and the page says so.
  await doing.sees(page.getByText(/rotary switch is at 3, and was not read in/).first());
  await doing.fixAll();

  const project = await expectAgreed(doing, 5);
  // Lanes from the rotary switches: the base keeps digital 1 from 10017, analogue 2 from 30009, 4 from 30017, outputs 3 from 00049.
  const mirrored = inOrder(project, 'lane').filter(({ madeBy }) => madeBy?.startsWith('dial '));
  const base = inOrder(project, 'station')[1]!;
  const places = mirrored.flatMap(({ id }) =>
    inOrder(project, 'claim').flatMap(({ lane, end, place }) =>
      lane === id && project.get('end', end)?.station === base.id && place && 'number' in place ? [place.number] : [],
    ),
  );
  expect(places).toEqual([17, 9, 49, 17]);
});
