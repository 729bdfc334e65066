import { reachedBy } from '../change/reached.js';
import { proposeStart } from '../exchange/start-sequence.js';
import { inOrder } from '../model/order.js';
import { checkedPlant, newId, pastedPlant, withLanes } from '../testing/pasted-plant.testing.js';
import { applied, edited } from '../testing/two-stations.testing.js';
import { dropEntryWithWhatRests } from './entry-with-what-rests.js';

const { project } = pastedPlant('TankCtl\tcommunication module\t10.8.4.11/24', 'MainCtl\tword memory\t10.8.4.10', 'MainCtl → TankCtl');
const laned = withLanes(project, 'Level\treads\t%MW40\tREAL\tLevel\twrites\tR0\tREAL');

test('what is written in a view stays as it was typed when the view goes', () => {
  const claim = inOrder(laned, 'claim').find(({ place }) => place && 'view' in place && place.view === 'own');
  expect(claim).toBeUndefined();
  const area = inOrder(laned, 'area').find(({ kind, station }) => kind === 'memory' && laned.get('station', station)!.name === 'MainCtl')!;
  const own = edited(laned, ['area', area.id, 'views.own', { order: 90, name: 'own', notation: 'prefix and number', prefix: 'd', unit: 16, first: 0 }]);
  const mine = inOrder(own, 'claim').find(({ place }) => place && 'area' in place && place.area === area.id)!;
  const moved = edited(own, ['claim', mine.id, 'place', { area: area.id, view: 'own', number: 40 }]);
  const changes = dropEntryWithWhatRests(moved, { kind: 'area', id: area.id, path: ['views', 'own'] });
  expect(reachedBy(moved, area.id, changes).map(({ kind, emptied, kept }) => [kind, emptied, kept])).toEqual([['exchange', 0, 1]]);
  const after = applied(moved, { id: newId(), label: '', changes });
  expect(after.get('claim', mine.id)!.place).toEqual({ typed: 'd40' });
  expect(after.get('area', area.id)!.views.own).toBeUndefined();
  expect(checkedPlant(after).codes).toContain('POS 13 cannot be read');
});

test('a step of a start sequence no longer names a part that goes', () => {
  const [exchange] = inOrder(laned, 'exchange');
  const started = applied(laned, { id: newId(), label: '', changes: proposeStart(laned, exchange!) });
  const area = inOrder(started, 'area').find(({ reservations }) => Object.keys(reservations).length > 0)!;
  const [block] = Object.keys(area.reservations);
  const changes = dropEntryWithWhatRests(started, { kind: 'area', id: area.id, path: ['reservations', block!, 'members', 'listen'] });
  const after = applied(started, { id: newId(), label: '', changes });
  const members = Object.values(inOrder(after, 'exchange')[0]!.start!).map(({ member }) => member?.split(' ')[2]);
  expect(members).toEqual([undefined, 'ready']);
});
