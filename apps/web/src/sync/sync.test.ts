import { apply } from '@dialoga/core/change';
import fc from 'fast-check';
import type { Choice } from './happening';
import { replay } from './replay';
import { contentOf, Journal, plant, someEdit } from './testing/plant.testing';
import { Browser, Window } from './testing/windows.testing';

/** More of them at length in `npm run torture`. */
const TIMES = Number(process.env.SYNC_TIMES ?? 1);

const CHOICES: readonly Choice[] = ['theirs', 'mine', 'both', 'put back'];

const ACTS = [
  'type', 'type', 'type', 'undo', 'redo', 'settle', 'reach', 'reach', 'reach and lose', 'hear', 'hear', 'hear twice',
  'news', 'news', 'again', 'cut', 'join', 'open anew', 'lose the news',
] as const; // prettier-ignore

interface Act {
  act: (typeof ACTS)[number];
  window: number;
  n: number;
}

const acts = fc.array(fc.record({ act: fc.constantFrom(...ACTS), window: fc.nat(2), n: fc.nat(1000) }), {
  minLength: 1,
  maxLength: 120,
  size: 'max',
});

/** Windows of one browser or of several, and a server. */
class Scene {
  readonly journal = new Journal(plant());
  readonly windows: Window[];
  readonly typed = new Set<string>();
  private told = 0;
  private ids = 0;

  constructor(count: number, browsers: number) {
    const all = Array.from({ length: browsers }, () => new Browser());
    this.windows = Array.from(
      { length: count },
      (_, i) => new Window(this.journal, all[i % browsers]!, () => this.newId()),
    );
    for (const window of this.windows) window.open();
  }

  newId = (): string => `e${String(this.ids++).padStart(4, '0')}`;

  run({ act, window: at, n }: Act): void {
    const window = this.windows[at % this.windows.length]!;
    this.do(window, act, n);
    this.tell();
    for (const one of this.windows) expectWhole(one);
  }

  private do(window: Window, act: Act['act'], n: number): void {
    switch (act) {
      case 'type':
      case 'undo':
      case 'redo': {
        const { project, pending } = window.session;
        if (!project || window.session.status !== 'ready') return;
        const id = this.newId();
        if (act === 'type') window.happen({ what: 'typed', set: someEdit(project, id, n) });
        else window.happen({ what: act === 'undo' ? 'undone' : 'redone', id });
        if (window.session.pending.length > pending.length) this.typed.add(id);
        return;
      }
      case 'settle':
        return window.settle(CHOICES[n % CHOICES.length]!, this.newId());
      case 'reach':
        return window.reach(n, false);
      case 'reach and lose':
        return window.reach(n, true);
      case 'hear':
        return window.hear(n, false);
      case 'hear twice':
        return window.hear(n, true);
      case 'news':
        return window.news(n);
      case 'again':
        return window.again();
      case 'cut':
        window.cut = true;
        return;
      case 'join':
        window.cut = false;
        return;
      case 'open anew':
        return window.open();
      case 'lose the news':
        window.stream = [];
    }
  }

  /** The stream tells every window of what is new; small ones come along. */
  private tell(): void {
    for (; this.told < this.journal.revision; this.told++) {
      const entry = this.journal.entries[this.told]!;
      for (const window of this.windows) {
        const { revision } = entry;
        if (!window.cut) window.stream.push({ what: 'heard', revision, entry: revision % 3 === 0 ? null : entry });
      }
    }
  }

  /** Everything arrives, every question is answered by a choice; ends when nothing is under way. */
  rest(choose: number): void {
    for (const window of this.windows) {
      window.cut = false;
      window.stream.push({ what: 'heard', revision: null, entry: null });
    }
    for (let round = 0; round < 300; round++) {
      const busy = this.windows.filter(
        (w) => w.questions.length + w.answers.length + w.stream.length > 0 || w.waits || w.session.aside.length > 0,
      );
      if (busy.length === 0) return;
      for (const window of busy) {
        if (window.questions.length > 0) window.reach(0, false);
        if (window.answers.length > 0) window.hear(0, false);
        if (window.stream.length > 0) window.news(0);
        window.again();
        const idle = window.questions.length + window.answers.length + window.stream.length === 0;
        if (idle) window.settle(round > 150 ? 'theirs' : CHOICES[(choose + round) % CHOICES.length]!, this.newId());
        this.tell();
        expectWhole(window);
      }
    }
    throw new Error('the windows do not come to rest');
  }
}

/** What is shown is what is stored here with the waiting edits on top, and the checks have the same. */
function expectWhole({ session, checked }: Window): void {
  if (session.status !== 'ready') return;
  expect(contentOf(checked!)).toEqual(contentOf(session.project!));
  // What is stored of one’s own does not fit in between: it is shown on until its revision is here.
  if (session.held.length > 0) return expect(session.ahead).not.toEqual([]);
  const { project, fitting, aside } = replay(session.base!, [...session.ahead, ...session.pending], []);
  expect(aside).toEqual([]);
  expect(fitting).toHaveLength(session.ahead.length + session.pending.length);
  expect(contentOf(session.project!)).toEqual(contentOf(project));
}

describe.each([
  [2, 1],
  [2, 2],
  [3, 2],
])('%i windows of %i browsers', (count, browsers) => {
  test('whatever is lost, doubled, reordered, cut, closed and opened again, all end alike, and nothing typed is gone', () => {
    fc.assert(
      fc.property(acts, fc.nat(3), (list, choose) => {
        const scene = new Scene(count, browsers);
        for (const act of list) scene.run(act);
        scene.rest(choose);
        const stored = contentOf(scene.journal.project);
        const asked = new Set(scene.windows.flatMap((window) => [...window.asked]));
        const journal = new Set(scene.journal.entries.map(({ set }) => set.id));
        for (const { session } of scene.windows) {
          expect(contentOf(session.project!)).toEqual(stored);
          expect(session).toMatchObject({
            revision: scene.journal.revision,
            pending: [],
            ahead: [],
            held: [],
            aside: [],
          });
        }
        // In the journal, or put to somebody who chose.
        expect([...scene.typed].filter((id) => !journal.has(id) && !asked.has(id))).toEqual([]);
      }),
      {
        numRuns: 60 * TIMES,
      },
    );
  });
});

test('undo takes back everything after a reload, redo brings it again', () => {
  fc.assert(
    fc.property(
      fc.array(fc.nat(1000), { minLength: 1, maxLength: 12 }),
      fc.infiniteStream(fc.boolean()),
      (ns, reloads) => {
        const scene = new Scene(1, 1);
        const [window] = scene.windows;
        const settle = () => scene.rest(0);
        const reload = () => {
          if (reloads.next().value) window!.open();
          settle();
        };
        settle();
        const start = contentOf(window!.session.project!);
        let made = 0;
        for (const n of ns) {
          const before = window!.session.undo.length;
          window!.happen({
            what: 'typed',
            set: { ...someEdit(window!.session.project!, scene.newId(), n), label: 'step' },
          });
          made += window!.session.undo.length - before;
          reload();
        }
        const end = contentOf(window!.session.project!);
        for (let i = 0; i < made; i++) {
          window!.happen({ what: 'undone', id: scene.newId() });
          reload();
        }
        expect(contentOf(window!.session.project!)).toEqual(start);
        for (let i = 0; i < made; i++) {
          window!.happen({ what: 'redone', id: scene.newId() });
          reload();
        }
        expect(contentOf(window!.session.project!)).toEqual(end);
        expect(contentOf(scene.journal.project)).toEqual(end);
      },
    ),
    { numRuns: 20 * TIMES },
  );
});

test('the model of a server gives each change set one revision, whenever it is sent', () => {
  const journal = new Journal(plant());
  const set = someEdit(journal.project, 'e', 3);
  expect([journal.commit(set), journal.commit(set)]).toEqual([{ revision: 1 }, { revision: 1 }]);
  expect(apply(plant(), set).ok).toBe(true);
});

test('somebody changes a field and back; an own edit that was stored behind both is never asked about', () => {
  const scene = new Scene(2, 2);
  const [other, own] = scene.windows as [Window, Window];
  for (const window of scene.windows) {
    window.reach(0, false);
    window.hear(0, false);
  }
  const name = (after: string, before: string) => ({
    kind: 'station' as const,
    id: 's0',
    path: ['name'],
    before,
    after,
  });
  const typed = (window: Window, id: string, after: string) =>
    window.happen({ what: 'typed', set: { id, label: id, changes: [name(after, 's0')] } });
  const arrive = (window: Window) => {
    window.reach(0, false);
    window.hear(0, false);
  };
  typed(other, 'there', 'Press');
  other.happen({ what: 'undone', id: 'and back' });
  typed(own, 'own', 'Kiln');
  arrive(other);
  arrive(other);
  arrive(own);
  expect(own.session).toMatchObject({ revision: 0, aside: [], pending: [] });
  // The first of the two is heard of by itself: the own edit does not fit on it.
  own.happen({ what: 'heard', revision: 1, entry: scene.journal.entries[0]! });
  expect(own.session).toMatchObject({ revision: 1, aside: [] });
  expect(own.session.project?.get('station', 's0')?.name).toBe('Kiln');
  scene.rest(0);
  expect(own.asked.size).toBe(0);
  expect(other.session.project?.get('station', 's0')?.name).toBe('Kiln');
});
