import { newId, pastedPlant } from '../testing/pasted-plant.testing.js';
import { applied } from '../testing/two-stations.testing.js';
import { routeFromLine } from './route-line.js';

const { project } = pastedPlant(
  'ServiceLaptop\tworkstation\t10.8.4.200/24, 192.168.7.2/24',
  'BusBridge\trouter\t10.8.4.70, node 5 on 500 kbit/s',
  'FrostCtl\tlarge tags by name\tnode 9',
);
const lined = (text: string) => {
  const line = routeFromLine(project, text, newId);
  if ('problem' in line) return line;
  const route = applied(project, { id: newId(), label: '', changes: line.changes }).get('route', line.id)!;
  return { ...line, route };
};

test('two names are a route of requests; what it is for, its own port and its text stand behind them', () => {
  expect(lined('ServiceLaptop → FrostCtl')).toMatchObject({
    name: 'ServiceLaptop → FrostCtl',
    unread: [],
    route: { traffic: 'requests', port: null, stated: '' },
  });
  const full = lined('ServiceLaptop, FrostCtl, for program transfer, by 10.8.4.200, text 1,10.8.4.70,2,9');
  expect(full).toMatchObject({ unread: [], route: { traffic: 'program transfer', stated: '1,10.8.4.70,2,9' } });
  expect('route' in full && project.get('port', full.route.port!)?.address).toBe('10.8.4.200');
});

test('what says nothing of a route is told, and names that are none are refused', () => {
  expect(lined('ServiceLaptop → FrostCtl, blue, by nothing')).toMatchObject({
    unread: [expect.stringContaining('“blue” says nothing of a route'), expect.stringContaining('has no port “nothing”')],
  });
  expect(lined('ServiceLaptop → Nobody')).toMatchObject({ problem: expect.stringContaining('Nobody') });
});
