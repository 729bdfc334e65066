import { childrenOf, inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import { newId, pastedPlant } from '../testing/pasted-plant.testing.js';
import { applied } from '../testing/two-stations.testing.js';
import { exchangeFromLine } from './exchange-line.js';

const THREE = ['WestCtl\tlarge tags by name\t10.8.5.1/24', 'EastCtl\tlarge tags by name\t10.8.5.2', 'NorthCtl\tlarge tags by name\t10.8.5.3'];
const { project: three } = pastedPlant(...THREE);

function lined(text: string, project: Project = three) {
  const line = exchangeFromLine(project, text, newId)!;
  const after = applied(project, { id: newId(), label: '', changes: line.changes });
  const ends = childrenOf(after, 'end', line.id);
  const nameOf = (station: string) => after.get('station', station)!.name;
  return { exchange: after.get('exchange', line.id)!, ends, unread: line.unread, names: ends.map(({ station }) => nameOf(station)) };
}

test('kind, protocol, transfer, interval, instances, elements and what happens on a lost link stand behind the names', () => {
  const { exchange, ends, unread } = lined(
    'WestCtl → EastCtl, peer connection, CIP, cyclic, every 50 ms, timeout 2 s, input 101, output instance 102, configuration 1, 32-bit elements, holds the last value, goes on commanding, wait for a release',
  );
  expect(unread).toEqual([]);
  expect(exchange).toMatchObject({
    kind: 'peer connection',
    protocol: 'cip',
    transfer: 'cyclic blocks',
    cadence: 50,
    timeout: 2000,
    onLoss: { sinks: 'hold the last value', source: 'goes on commanding', back: 'wait for a release' },
  });
  // Instances are declared by the end that answers; the caller says what it was told of them itself.
  expect(ends.map(({ references, elementBits }) => [references, elementBits])).toEqual([
    [undefined, 32],
    [{ input: '101', output: '102', configuration: '1' }, 32],
  ]);
});

test('a transfer that only some protocols have chooses among those that both speak', () => {
  expect(lined('WestCtl → EastCtl, cyclic').exchange.transfer).toBe('cyclic blocks');
  expect(lined('WestCtl → EastCtl, CIP, requests').exchange).toMatchObject({ protocol: 'cip', transfer: 'requests' });
});

test('of partners with or between them one is chosen at run time; with and all take part', () => {
  const or = lined('WestCtl → EastCtl or NorthCtl, CIP');
  expect(or.names).toEqual(['WestCtl', 'EastCtl', 'NorthCtl']);
  expect(or.ends.map(({ permitted, calling }) => [permitted ?? false, calling])).toEqual([
    [false, 'calls'],
    [true, 'listens'],
    [true, 'listens'],
  ]);
  const and = lined('WestCtl → EastCtl and NorthCtl, shared variables');
  expect(and.ends.map(({ permitted, calling }) => [permitted ?? false, calling])).toEqual([
    [false, 'listens'],
    [false, 'calls'],
    [false, 'calls'],
  ]);
});

test('what is no setting, or cannot be one, is told, and the rest is taken', () => {
  const { exchange, unread } = lined('WestCtl → EastCtl, CIP, nonsense, every blue moon, input 99999');
  expect(exchange.protocol).toBe('cip');
  expect(unread).toEqual([
    '“nonsense” is no kind of exchange, protocol or setting of one',
    expect.stringContaining('blue moon'),
    expect.stringContaining('99999'),
  ]);
  expect(exchangeFromLine(three, 'WestCtl → Nobody', newId)).toBeNull();
  expect(exchangeFromLine(three, 'WestCtl → EastCtl or Nobody', newId)).toBeNull();
});

test('an exchange of a radio base and its units has the lanes that their rotary switches make', () => {
  const { project, problems } = pastedPlant(
    'Base\tradio base\tunit 21 on 19200 8E1, base 1 on id 77',
    'RepA\tradio unit\trepeater 2',
    'RepB\tradio unit\tend unit 3',
    '',
    'Station\tRotary switch\tOrder code\tDescription\tIn\tOut',
    'RepA\t2\tAI-4\tAnalogue input\t8',
    'RepB\t3\tDO-16\tDigital output\t\t2',
    '',
    'Base → RepA and RepB',
  );
  expect(problems).toEqual([]);
  expect(inOrder(project, 'lane').map(({ madeBy }) => madeBy?.split(' ')[0])).toEqual(['dial', 'dial']);
  const [exchange] = inOrder(project, 'exchange');
  expect(exchange).toMatchObject({ protocol: 'radio-mirror', kind: 'gateway memory' });
  const ends = childrenOf(project, 'end', exchange!.id);
  expect(ends.map(({ station, calling }) => [project.get('station', station)!.name, calling])).toEqual([
    ['RepA', 'calls'],
    ['Base', 'listens'],
    ['RepB', 'calls'],
  ]);
  const radios = inOrder(project, 'port').flatMap(({ radio }) => (radio ? [`${radio.sort} ${radio.number}, id ${radio.id}`] : []));
  expect(radios.sort()).toEqual(['base 1, id 77', 'end unit 3, id 77', 'repeater 2, id 77']);
});
