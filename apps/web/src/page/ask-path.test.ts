import { Project } from '@dialoga/core/model';
import { askFrom, askPath } from './ask-path';

const STATIONS = ['controlroom', 'plantctl'].map((id, i) => ({ id, order: i, name: id, roles: [], profile: null }));
const exchange = { id: 'service', order: 1, name: 'Service', kind: 'service link', protocol: null, mode: null };
const end = (id: string, station: string, calling: string) => ({ id, order: 1, exchange: 'service', station, calling });
const project = Project.of({
  station: STATIONS as never,
  exchange: [exchange] as never,
  end: [end('e1', 'plantctl', 'listens'), end('e2', 'controlroom', 'calls')] as never,
});
const asked = (address: string) => Object.fromEntries(new URL(address, 'http://here').searchParams);

test('from an exchange the way leads from the end that calls to the other, for what it carries', () => {
  const address = askFrom(project, 'p', '/p/p/exchanges/service');
  expect(address).toMatch(/^\/p\/p\/routes\/ask\?/);
  expect(asked(address)).toEqual({ from: 'controlroom', to: 'plantctl', for: expect.any(String) as string });
});

test('from a station, or its tags, the way leads to it; from elsewhere it is open', () => {
  expect(asked(askFrom(project, 'p', '/p/p/stations/plantctl'))).toEqual({ to: 'plantctl' });
  expect(asked(askFrom(project, 'p', '/p/p/tags/plantctl/images'))).toEqual({ to: 'plantctl' });
  expect(askFrom(project, 'p', '/p/p/wiring')).toBe('/p/p/routes/ask');
  expect(askFrom(project, 'p', '/p/p/stations/nobody')).toBe('/p/p/routes/ask');
});

test('only what is known stands in the address', () => {
  expect(asked(askPath('p', { from: 'a b', to: '' }))).toEqual({ from: 'a b' });
});
