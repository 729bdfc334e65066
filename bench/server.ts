import { readFileSync } from 'node:fs';
import { apply, diff, type ChangeSet } from '@dialoga/core/change';
import { SECTION_OF } from '@dialoga/core/file';
import { KINDS, Project, type Entity, type Kind } from '@dialoga/core/model';
import { bulkRow } from './bulk.js';
import { middle, type Row } from './row.js';
import { importProject, json, startServer, stop, type Server } from './server-process.js';

const MOST_MB = 512;
const EDITORS = 10;
const SETS_A_SECOND = 20;
const SECONDS = 15;
const MOST_ACK_MS = 50;

/** The most memory that a process had so far, MB. */
function peakOf({ child }: Server): number {
  const status = readFileSync(`/proc/${child.pid}/status`, 'utf8');
  return Number(/VmHWM:\s+(\d+)/.exec(status)![1]) / 1024;
}

/** What the server does with the largest project: takes it in, hands it out, and takes ten people's edits to it. */
export async function serverRows(file: string): Promise<Row[]> {
  const importing = await startServer();
  const { id, seconds } = await importProject(importing, file);
  const importPeak = peakOf(importing);
  await stop(importing);
  const server = await startServer();
  try {
    return [
      {
        work: 'import of it as a job, checked and stored',
        figure: `${seconds.toFixed(1)} s; server at ${importPeak.toFixed(0)} MB at most`,
        aim: 'no aim set',
        met: true,
      },
      ...(await openingRows(server, id)),
      await whileCheckedRow(server, id),
      await editorsRow(server, id),
      await bulkRow(),
    ];
  } finally {
    await stop(server);
  }
}

async function openingRows(server: Server, id: string): Promise<Row[]> {
  const open = async () => {
    const start = performance.now();
    const bytes = await (await fetch(`${server.url}/projects/${id}`)).arrayBuffer();
    return { ms: performance.now() - start, mb: bytes.byteLength / 1e6 };
  };
  const alone = await open();
  const three = await Promise.all([open(), open(), open()]);
  const peak = peakOf(server);
  return [
    {
      work: `opening it, the server’s part, ${alone.mb.toFixed(1)} MB; then three at once`,
      figure: `${alone.ms.toFixed(0)} ms; ${middle(three.map((t) => t.ms)).toFixed(0)} ms`,
      aim: 'part of 3 s',
      met: alone.ms < 3000,
    },
    {
      work: 'memory of the server with it opened three times at once',
      figure: `${peak.toFixed(0)} MB at most`,
      aim: `under ${MOST_MB} MB`,
      met: peak < MOST_MB,
    },
  ];
}

const MOST_BESIDE_MS = 20;

/** Edits of a small project while the findings of the largest are counted on the same server. */
async function whileCheckedRow(server: Server, id: string): Promise<Row> {
  const post = (path: string, body: unknown) =>
    fetch(`${server.url}${path}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
  const small = await json<{ id: string }>(post('/projects', { name: 'Beside' }));
  let counted = false;
  const counting = (async () => {
    while (!counted) {
      const { tally } = await json<{ tally: unknown }>(fetch(`${server.url}/projects/${id}/tally`));
      counted = tally !== null;
    }
  })();
  const answers: number[] = [];
  let name = 'Beside';
  for (let n = 0; !counted; n++) {
    const changes = [{ kind: 'project', id: 'project', path: ['name'], before: name, after: `Beside ${n}` }];
    const start = performance.now();
    const { status } = await post(`/projects/${small.id}/changes`, { id: `beside${n}`, label: 'Rename', changes });
    answers.push(performance.now() - start);
    if (status !== 201) throw new Error(`an edit was answered with ${status}`);
    name = `Beside ${n}`;
  }
  await counting;
  const sorted = [...answers].sort((a, b) => a - b);
  const most = sorted[Math.floor(sorted.length * 0.95)]!;
  return {
    work: `an edit of another project while its findings are counted (of ${answers.length}, the middle one; 95 of 100 within)`,
    figure: `${middle(answers).toFixed(1)} ms; ${most.toFixed(1)} ms`,
    aim: `under ${MOST_BESIDE_MS} ms`,
    met: middle(answers) < MOST_BESIDE_MS,
  };
}

interface Entry {
  revision: number;
  set: ChangeSet;
}

/** One of ten people: edits his own claims and, now and then, what everybody edits; follows the journal. */
class Editor {
  readonly acks: number[] = [];
  refused = 0;
  private revision = 0;

  constructor(
    private readonly url: string,
    private readonly number: number,
    public project: Project,
  ) {}

  async run(): Promise<void> {
    const every = (1000 * EDITORS) / SETS_A_SECOND;
    const started = performance.now() + (this.number * every) / EDITORS;
    for (let n = 0; n < (SECONDS * SETS_A_SECOND) / EDITORS; n++) {
      const wait = started + n * every - performance.now();
      if (wait > 0) await new Promise((resolve) => setTimeout(resolve, wait));
      await this.edit(n);
      await this.follow();
    }
  }

  private async edit(n: number): Promise<void> {
    const shared = n % 10 === 9;
    const claim = this.project.get('claim', shared ? 'l0l' : `l${this.number * 400 + n}l`)!;
    const change = {
      kind: 'claim' as const,
      id: claim.id,
      path: ['name'],
      before: claim.name,
      after: `E${this.number} ${n}`,
    };
    const set: ChangeSet = { id: `e${this.number}n${n}`, label: 'Rename', changes: [change] };
    const start = performance.now();
    const { status } = await fetch(`${this.url}/changes`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(set),
    });
    this.acks.push(performance.now() - start);
    if (status === 409) this.refused++;
    else if (status !== 201) throw new Error(`an edit was answered with ${status}`);
  }

  async follow(): Promise<void> {
    for (const { revision, set } of await json<Entry[]>(fetch(`${this.url}/changes?since=${this.revision}`))) {
      const applied = apply(this.project, set);
      if (!applied.ok) throw new Error(applied.refusal.sentence);
      this.project = this.project.with(applied.entities);
      this.revision = revision;
    }
  }
}

async function editorsRow(server: Server, id: string): Promise<Row> {
  const url = `${server.url}/projects/${id}`;
  const opened = async () => {
    const tree = await json<Record<string, Entity[]>>(fetch(url));
    return Project.of(
      Object.fromEntries(KINDS.map((kind) => [kind, tree[SECTION_OF[kind]]])) as Record<Kind, Entity[]>,
    );
  };
  const start = await opened();
  const editors = Array.from({ length: EDITORS }, (_, i) => new Editor(url, i, start));
  await Promise.all(editors.map((e) => e.run()));
  await Promise.all(editors.map((e) => e.follow()));
  const stored = await opened();
  const apart = editors.filter((e) => diff(e.project, stored).length > 0).length;
  const acks = editors.flatMap((e) => e.acks);
  const ack = middle(acks);
  const refused = editors.reduce((sum, e) => sum + e.refused, 0);
  return {
    work: `${EDITORS} editors, ${SETS_A_SECOND} change sets a second between them, ${acks.length} in all, ${refused} refused`,
    figure: `acknowledged in ${ack.toFixed(1)} ms (the middle one); ${apart === 0 ? 'all end equal' : `${apart} differ`}`,
    aim: `under ${MOST_ACK_MS} ms, all equal`,
    met: ack < MOST_ACK_MS && apart === 0,
  };
}
