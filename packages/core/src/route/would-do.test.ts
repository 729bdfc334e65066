import type { Traffic } from '../model/words.js';
import { edited } from '../testing/two-stations.testing.js';
import { routedPlant } from '../testing/routed-plant.testing.js';
import { findRoutes } from './find-routes.js';
import { wouldMakeOne } from './would-do.js';

const said = (project: ReturnType<typeof routedPlant>, to: string, traffic: Traffic) => {
  const { nearest } = findRoutes(project, { from: 'a', to, port: 'a1', traffic });
  return nearest ? wouldMakeOne(project, nearest, traffic) : [];
};

test('a coupler in between: something that passes it, or going there oneself', () => {
  expect(said(routedPlant(), 'q', 'program transfer')).toEqual([
    'a station that passes program transfer between Net 1 and Net 3, in place of K or beside it; or A attached to Net 3 itself',
  ]);
});

test('a port that is off, an old firmware, and both', () => {
  const off = edited(routedPlant(), ['port', 'db', 'enabled', false]);
  expect(said(off, 'd', 'program transfer')).toEqual(['that db of D is enabled: it is not enabled']);
  const old = edited(off, ['station', 'r', 'firmware.f.version', '2.3']);
  expect(said(old, 'd', 'program transfer')).toEqual([
    'a newer firmware in R: R passes program transfer from firmware 2.4 on; it has 2.3',
    'that db of D is enabled: it is not enabled',
  ]);
});
