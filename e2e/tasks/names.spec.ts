import { childrenOf, inOrder } from '@dialoga/core/model';
import { expect } from '../app';
import { JOBS } from './jobs';
import { expectAgreed, task } from './task';

/** One page an end: what WestCtl takes, and what its partners keep open to it. */
const HEAD = ['Name', 'Direction', 'Address', 'Type', 'Open'];
const totals = (direction: string, open = '') => ['Totals', direction, 'Totals', 'DINT x20', open];
const PAGES = [
  [HEAD, HEAD, HEAD],
  [totals('reads'), totals('writes', 'closed'), totals('writes', 'may read')],
].map((pages) => pages.flat().join('\t'));

task(JOBS.names, async (doing) => {
  const { page } = doing;
  await doing.paste([
    'WestCtl\tlarge tags by name\t10.8.5.1/24',
    'EastCtl\tlarge tags by name\t10.8.5.2',
    'NorthCtl\tlarge tags by name\t10.8.5.3',
    'WestCtl → EastCtl or NorthCtl, CIP, requests',
    'route WestCtl → EastCtl, text rack > 1 / LAN > 10.8.5.2 / rack > 0',
    'route WestCtl → NorthCtl, text rack > 1 / LAN > 10.8.5.3 / rack > 0',
  ]);
  await doing.press('Control+Enter');
  await doing.focused('Exchanges');
  await doing.press('Enter');
  await doing.focused('WestCtl – EastCtl, both ends');
  await doing.paste(PAGES);
  // EastCtl keeps its array closed: found, and opened with the rest.
  await doing.sees(page.getByRole('gridcell', { name: /closed/ }).first());
  await doing.fixAll();

  const project = await expectAgreed(doing, 1, 'any');
  const [exchange] = inOrder(project, 'exchange');
  const [west, ...partners] = childrenOf(project, 'end', exchange!.id);
  expect(partners.map(({ permitted }) => permitted)).toEqual([true, true]);
  const told = new Set(Object.values(west!.told).map(({ address }) => address));
  expect(told).toEqual(new Set(['10.8.5.2', '10.8.5.3']));
});
