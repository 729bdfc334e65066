import { apply, invert, type Change, type ChangeSet } from '@dialoga/core/change';
import { writeProject } from '@dialoga/core/file';
import { Project } from '@dialoga/core/model';
import { readProject } from '@dialoga/core/entry';
import fc from 'fast-check';
import type { JournalEntry } from '../database/journal.js';
import { commit, fileOf, newSmall, testServer, type TestServer } from '../testing/server.testing.js';

let first: TestServer;
let second: TestServer;
beforeAll(async () => {
  first = await testServer();
  second = await testServer(first);
});
afterAll(async () => {
  await second.close();
  await first.close();
});

/** One step of a writer: what it edits, and to what. */
interface Step {
  what: number;
  value: number;
}

/** A writer's own copy of the project, which follows the journal and is edited at once. */
class Writer {
  revision = 0;
  constructor(
    private readonly server: TestServer,
    private readonly id: string,
    private readonly name: string,
    public project: Project,
  ) {}

  /** Edits here, sends, and takes the edit back where it was refused. Gives the id where it was acknowledged. */
  async step({ what, value }: Step, n: number): Promise<string | null> {
    const change = this.changeFor(what, value, n);
    if (!change) return null;
    const set: ChangeSet = { id: `${this.name}x${n}`, label: this.name, changes: [change] };
    const before = this.project;
    const applied = apply(before, set);
    if (!applied.ok) return null;
    const { status } = await commit(this.server, this.id, set);
    expect([201, 409]).toContain(status);
    if (status !== 201) await this.follow();
    return status === 201 ? set.id : null;
  }

  /** Takes in the journal from where it stands. */
  async follow(): Promise<void> {
    const { body } = await this.server.http.get(`/api/projects/${this.id}/changes?since=${this.revision}`).expect(200);
    for (const { revision, set } of body as JournalEntry[]) {
      const applied = apply(this.project, set);
      if (!applied.ok) throw new Error(applied.refusal.sentence);
      this.project = this.project.with(applied.entities);
      this.revision = revision;
    }
  }

  /** A few fields that all writers fight about, and entities that come and go. */
  private changeFor(what: number, value: number, n: number): Change | null {
    const station = this.project.get('station', 'plantctl')!;
    const lane = `shared${value % 3}`;
    const known = this.project.get('lane', lane);
    switch (what % 4) {
      case 0:
        return { kind: 'station', id: station.id, path: ['name'], before: station.name, after: `P${value}` };
      case 1:
        return known
          ? { kind: 'lane', id: lane, path: [], before: known as never }
          : { kind: 'lane', id: lane, path: [], after: { id: lane, order: value, exchange: 'duty', items: {} } };
      case 2:
        return known ? { kind: 'lane', id: lane, path: ['items', `${this.name}${n}`], after: { order: n } } : null;
      default: {
        const id = `${this.name}own${n}`;
        return { kind: 'lane', id, path: [], after: { id, order: n, exchange: 'duty', items: {} } };
      }
    }
  }
}

/** Any interleaving of these writers' steps, over two server processes. */
async function interleaved(plans: Step[][]): Promise<void> {
  const id = await newSmall(first);
  const read = readProject(await fileOf(first, id));
  if (!read.ok) throw new Error('the project cannot be read');
  const writers = plans.map((_, i) => new Writer(i % 2 === 0 ? first : second, id, `w${i}`, read.project));
  const acknowledged = await Promise.all(
    writers.map(async (writer, i) => {
      const ids: string[] = [];
      for (const [n, step] of plans[i]!.entries()) {
        const set = await writer.step(step, n);
        if (set) ids.push(set);
        if (n % 2 === 1) await writer.follow();
      }
      return ids;
    }),
  );
  for (const writer of writers) await writer.follow();
  const stored = await fileOf(second, id);
  for (const writer of writers) expect(writeProject(writer.project)).toBe(stored);

  const { body } = await first.http.get(`/api/projects/${id}/changes?since=0`).expect(200);
  const journal = body as JournalEntry[];
  expect(journal.map((e) => e.revision)).toEqual(journal.map((_, i) => i + 1));
  // Everything acknowledged is there, and nothing else; taken back from the end, it is the start.
  expect(journal.map((e) => e.set.id).sort()).toEqual(acknowledged.flat().sort());
  const start = journal.reduceRight((project, { set }) => {
    const undone = apply(project, invert(set, set.id));
    if (!undone.ok) throw new Error(undone.refusal.sentence);
    return project.with(undone.entities);
  }, writers[0]!.project);
  expect(writeProject(start)).toBe(writeProject(read.project));
}

const plan = (steps: number) =>
  fc.array(fc.record({ what: fc.nat(7), value: fc.nat(9) }), { minLength: 1, maxLength: steps });

test('two writers on one project, whatever the interleaving: windows, tables and journal end equal', async () => {
  await fc.assert(
    fc.asyncProperty(fc.tuple(plan(8), plan(8)), (plans) => interleaved(plans)),
    { numRuns: 25 },
  );
});

test('ten writers on one project', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(plan(5), { minLength: 10, maxLength: 10 }), (plans) => interleaved(plans)),
    { numRuns: 6 },
  );
});

test('an edit through one process is told by the other', async () => {
  const id = await newSmall(first);
  await second.app.listen(0, '127.0.0.1');
  const stream = await fetch(`${await second.app.getUrl()}/api/events?projects=${id}`);
  const reader = stream.body!.pipeThrough(new TextDecoderStream()).getReader();
  const change: Change = { kind: 'station', id: 'plantctl', path: ['name'], before: 'PlantCtl', after: 'Plant' };
  await commit(first, id, { id: 'told', label: '', changes: [change] }).expect(201);
  let text = '';
  while (!/"revision":1.*\n/.test(text)) {
    const { value, done } = await reader.read();
    if (done) throw new Error(`the stream ended after ${text}`);
    text += value;
  }
  // What it stored comes along, read from the journal.
  const [, news] = /data: (.*"revision":1.*)\n/.exec(text)!;
  expect(JSON.parse(news!)).toMatchObject({ entry: { revision: 1, set: { id: 'told', changes: [change] } } });
  await reader.cancel();
});

test('a process whose clock is wrong: the journal has the database’s time, and acceptances keep what they say', async () => {
  const id = await newSmall(first);
  const faked = [...'nextTick queueMicrotask setImmediate clearImmediate setInterval clearInterval'.split(' ')];
  const doNotFake = [...faked, 'setTimeout', 'clearTimeout', 'hrtime', 'performance'] as never[];
  const rows: { now: Date }[] = await first.database.query('SELECT UTC_TIMESTAMP(3) AS now');
  const names = ['PlantCtl', 'In 1970', 'In 2099'];
  try {
    for (const [n, year] of [1970, 2099].entries()) {
      jest.useFakeTimers({ now: new Date(`${year}-01-01T00:00:00Z`), doNotFake });
      expect(new Date().getUTCFullYear()).toBe(year);
      const change: Change = {
        kind: 'station',
        id: 'plantctl',
        path: ['name'],
        before: names[n]!,
        after: names[n + 1]!,
      };
      const word = { id: `acc${n}`, order: n, finding: 'TYP 2 · x', rests: '0', reason: 'fits', name: 'R. Vale' };
      const accepted: Change = {
        kind: 'acceptance',
        id: word.id,
        path: [],
        after: { ...word, at: new Date().toISOString() },
      };
      await commit(first, id, { id: `skewed${n}`, label: '', changes: [change, accepted] }).expect(201);
    }
  } finally {
    jest.useRealTimers();
  }
  const { body } = await second.http.get(`/api/projects/${id}/changes?since=0`).expect(200);
  const times = (body as JournalEntry[]).map((e) => new Date(e.made).getTime());
  const start = new Date(rows[0]!.now).getTime();
  for (const time of times) expect(time - start).toBeLessThan(60_000);
  expect(times[0]).toBeGreaterThanOrEqual(start);
  expect(times[1]).toBeGreaterThanOrEqual(times[0]!);
  expect(await fileOf(second, id)).toContain('"at": "2099-01-01');
});
