import './quiet.js';
import { childrenOf, Project, type Tag } from '@dialoga/core/model';
import { offeredTags, Plant } from '@dialoga/core/rehearse';
import {
  AttributeIds,
  DataType,
  OPCUAClient,
  StatusCodes,
  VariantArrayType,
  type ClientSession,
} from 'node-opcua-client';
import { rightPlant } from '../../core/src/testing/plant/right-plant.testing.js';
import { StandIns } from './index.js';

/** One of whose tags some are to be read only, and numbers are to be set. */
const project = Array.from({ length: 60 }, (_, n) => rightPlant(n, ['tagServer'])).find((one) => {
  const tags = [...one.all('tag')].filter(({ open }) => open);
  return (
    tags.some(({ open }) => open === 'may read') && tags.some((tag) => tag.open === 'may set' && typeOf(tag) !== 'BOOL')
  );
})!;
function typeOf({ type }: Tag): string | undefined {
  return type && 'base' in type ? type.base : undefined;
}
const plant = new Plant(project);
let standIns: StandIns;
beforeAll(async () => {
  standIns = await StandIns.of(plant);
});
afterAll(() => standIns.close());

const standing = () => standIns.standings.find(({ protocol }) => protocol === 'OPC UA')!;

async function asked<T>(ask: (session: ClientSession) => Promise<T>, at = standing().typed): Promise<T> {
  const client = OPCUAClient.create({ endpointMustExist: false, connectionStrategy: { maxRetry: 0 } });
  await client.connect(at);
  const session = await client.createSession();
  try {
    return await ask(session);
  } finally {
    await session.close();
    await client.disconnect();
  }
}
const nodeOf = (name: string) => `ns=1;s=${name}`;

// [library: node-opcua-client]
test('a tag server offers its tags over OPC UA, with their types; what is set there is set in the plant', async () => {
  const { station } = standing();
  const tags = offeredTags(plant, station);
  expect(tags.length).toBeGreaterThan(0);
  expect(tags.map(({ name }) => name).sort()).toEqual(
    childrenOf(project, 'tag', station)
      .map(({ name }) => name)
      .sort(),
  );
  const types: Record<string, DataType> = { BOOL: DataType.Boolean, DINT: DataType.Int32, REAL: DataType.Float };
  const to: Record<string, number> = { BOOL: 1, DINT: -123_456, REAL: 2.5 };
  await asked(async (session) => {
    for (const tag of tags) {
      const before = await session.read({ nodeId: nodeOf(tag.name), attributeId: AttributeIds.Value });
      expect([tag.name, before.statusCode, before.value.dataType]).toEqual([
        tag.name,
        StatusCodes.Good,
        types[tag.base],
      ]);
      tag.set([to[tag.base]!]);
      const after = await session.read({ nodeId: nodeOf(tag.name), attributeId: AttributeIds.Value });
      expect(Number(after.value.value)).toBe(to[tag.base]);
      const value = { dataType: types[tag.base]!, value: tag.base === 'BOOL' ? false : 7 };
      const status = await session.write({
        nodeId: nodeOf(tag.name),
        attributeId: AttributeIds.Value,
        value: { value },
      });
      expect([tag.name, status.isGood()]).toEqual([tag.name, tag.settable]);
      const [now] = tag.now() as number[];
      expect(Number(now)).toBe(tag.settable ? (tag.base === 'BOOL' ? 0 : 7) : to[tag.base]);
    }
  });
  expect(new Set(tags.map(({ settable }) => settable)).size).toBe(2);
});

test('a type of another kind and an unknown name are refused', async () => {
  const tag = offeredTags(plant, standing().station).find(({ settable, base }) => settable && base !== 'BOOL')!;
  const write = (session: ClientSession, name: string, value: object) =>
    session.write({ nodeId: nodeOf(name), attributeId: AttributeIds.Value, value: { value } });
  await asked(async (session) => {
    expect((await write(session, tag.name, { dataType: DataType.String, value: 'x' })).isGood()).toBe(false);
    expect((await write(session, 'Nobody', { dataType: DataType.Int32, value: 1 })).isGood()).toBe(false);
  });
});

test('after an edit its tags are those of the plan as it is now, at the same port', async () => {
  const before = standing();
  const tag = childrenOf(project, 'tag', before.station)[0]!;
  const edited = project.with([{ kind: 'tag', id: tag.id, before: tag, after: { ...tag, name: 'Renamed' } }] as never);
  const next = new Plant(edited, plant.now);
  next.goOnFrom(plant);
  await standIns.goOnWith(next);
  expect(standing().port).toBe(before.port);
  await asked(async (session) => {
    const read = await session.read({ nodeId: nodeOf('Renamed'), attributeId: AttributeIds.Value });
    expect(read.statusCode).toBe(StatusCodes.Good);
    const gone = await session.read({ nodeId: nodeOf(tag.name), attributeId: AttributeIds.Value });
    expect(gone.statusCode.isGood()).toBe(false);
  });
});

test('values of 64 bits and texts go both ways; a text that is too long is refused', async () => {
  const own = Project.of({
    station: [
      { id: 'a', order: 1, name: 'A', roles: ['controller'], profile: null, party: 'own' },
      { id: 'b', order: 2, name: 'B', roles: ['SCADA station'], profile: null, party: 'own' },
    ],
    port: [
      {
        id: 'p',
        order: 1,
        name: 'Ethernet',
        station: 'a',
        network: null,
        enabled: true,
        purpose: 'general',
        address: '10.0.0.1',
        mask: '',
        gateway: '',
        former: [],
        listens: {},
        unit: null,
      },
    ],
    tag: [
      { id: 'u', order: 1, station: 'a', name: 'Total', type: { base: 'LWORD', count: 1 }, place: null },
      { id: 's', order: 2, station: 'a', name: 'Text', type: { base: 'STRING', count: 1, capacity: 10 }, place: null },
      { id: 'c', order: 3, station: 'a', name: 'Closed', type: { base: 'INT', count: 1 }, place: null, open: 'closed' },
    ],
    exchange: [
      { id: 'x', order: 1, name: 'X', kind: 'tag map', protocol: 'opc-ua', transfer: 'requests', cadence: 100 },
    ],
    end: [
      { id: 'e', order: 1, exchange: 'x', station: 'a', port: 'p', calling: 'listens', swap: 'none', told: {} },
      { id: 'f', order: 2, exchange: 'x', station: 'b', port: null, calling: 'calls', swap: 'none', told: {} },
    ],
  } as never);
  const second = new Plant(own);
  const all = await StandIns.of(second);
  const tags = new Map(offeredTags(second, 'a').map((tag) => [tag.name, tag]));
  expect([...tags.keys()]).toEqual(['Total', 'Text']);
  tags.get('Total')!.set([0x0123456789abcdefn]);
  tags.get('Text')!.set('Hello');
  await asked(async (session) => {
    const read = async (name: string) =>
      (await session.read({ nodeId: nodeOf(name), attributeId: AttributeIds.Value })).value.value as unknown;
    expect([await read('Total'), await read('Text'), await read('Closed')]).toEqual([
      [0x01234567, 0x89abcdef],
      'Hello',
      null,
    ]);
    const write = (name: string, value: object) =>
      session.write({ nodeId: nodeOf(name), attributeId: AttributeIds.Value, value: { value } });
    const total = { dataType: DataType.UInt64, arrayType: VariantArrayType.Scalar, value: [0xffffffff, 1] };
    expect((await write('Total', total)).isGood()).toBe(true);
    expect(tags.get('Total')!.now()).toEqual([0xffffffff00000001n]);
    expect((await write('Text', { dataType: DataType.String, value: 'Bye' })).isGood()).toBe(true);
    expect((await write('Text', { dataType: DataType.String, value: 'much too long' })).isGood()).toBe(false);
    expect(tags.get('Text')!.now()).toBe('Bye');
  }, all.standings[0]!.typed);
  await all.close();
});
