import { apply } from '@dialoga/core/change';
import type { ChangeSet } from '@dialoga/core/change';
import type { Project } from '@dialoga/core/model';
import type { JournalEntry } from '../../api/client';
import type { Effect, Happening } from '../happening';
import { NO_SESSION, type Kept, type Session } from '../session';
import { step } from '../step';
import type { Journal } from './plant.testing';

/** What a browser keeps for all its windows. */
export class Browser {
  readonly kept = new Map<string, readonly ChangeSet[]>();
  /** the project as it was opened last, and what was stored since */
  copy: { project: Project; revision: number } | null = null;
  news: JournalEntry[] = [];
}

/** A question on its way to the server: what it answers there and then, and what the window hears where it is lost. */
interface Question {
  ask: () => Happening;
  lost: Happening;
}

/** One window over a line that loses, doubles and reorders what a test tells it to. */
export class Window {
  session: Session = NO_SESSION;
  /** on their way there, and back */
  questions: Question[] = [];
  answers: Happening[] = [];
  /** revisions told by the stream, not heard yet */
  stream: Happening[] = [];
  cut = false;
  waits = false;
  /** the project as the checks have it, by what they were told */
  checked: Project | null = null;
  /** edits that were asked about */
  readonly asked = new Set<string>();
  private steps: { undo: ChangeSet[]; redo: ChangeSet[] } = { undo: [], redo: [] };
  private key = '';
  private seen = new Map<string, readonly ChangeSet[]>();

  constructor(
    private readonly journal: Journal,
    private readonly browser: Browser,
    private readonly newKey: () => string,
  ) {}

  /** Opened, or opened again: what was under way is gone with the page. */
  open(): void {
    if (this.session.id !== null) this.happen({ what: 'leaving' });
    this.session = NO_SESSION;
    [this.questions, this.answers, this.stream, this.waits] = [[], [], [], false];
    this.key = this.newKey();
    this.seen = new Map(this.browser.kept);
    const kept = [...this.browser.kept].map(([window, sets]): Kept => ({ window, sets }));
    this.happen({ what: 'begun', id: 'p', past: null, kept, ...this.steps });
  }

  happen(event: Happening): void {
    const [next, effects] = step(this.session, event);
    this.session = next;
    for (const effect of effects) this.run(effect);
  }

  settle(choice: 'theirs' | 'mine' | 'both' | 'put back', id: string): void {
    const [first] = this.session.aside;
    if (!first) return;
    this.asked.add(first.set.id);
    this.happen({ what: 'settled', choice, id });
  }

  private run(effect: Effect): void {
    switch (effect.do) {
      case 'open':
        return this.ask(() => ({ what: 'opened', project: this.journal.project, revision: this.journal.revision }), {
          what: 'not opened',
          sentence: 'away',
          away: true,
        });
      case 'open from here': {
        const { copy, news } = this.browser;
        if (copy) this.answers.push({ what: 'opened from here', ...copy, entries: [...news] });
        return;
      }
      case 'keep news':
        this.browser.news.push(...effect.entries);
        this.browser.news.sort((a, b) => a.revision - b.revision);
        return;
      case 'send': {
        const { set } = effect;
        return this.ask(
          () => {
            const answer = this.journal.commit(set);
            return 'revision' in answer
              ? { what: 'stored', id: set.id, ...answer }
              : { what: 'refused', id: set.id, ...answer };
          },
          { what: 'unanswered', id: set.id, why: 'away', sentence: 'away' },
        );
      }
      case 'fetch':
        return this.ask(() => ({ what: 'fetched', entries: this.journal.since(effect.since) }), {
          what: 'not fetched',
        });
      case 'keep':
        if (effect.sets.length === 0) this.browser.kept.delete(this.key);
        else this.browser.kept.set(this.key, effect.sets);
        return;
      case 'forget':
        if (this.browser.kept.get(effect.window) === this.seen.get(effect.window)) {
          this.browser.kept.delete(effect.window);
        }
        return;
      case 'remember':
        this.steps = { undo: [...effect.undo], redo: [...effect.redo] };
        return;
      case 'check': {
        const applied = apply(this.checked!, effect.set);
        if (!applied.ok) throw new Error(`the checks cannot follow: ${applied.refusal.sentence}`);
        this.checked = this.checked!.with(applied.entities);
        return;
      }
      case 'wait':
        this.waits = true;
    }
  }

  private ask(ask: () => Happening, lost: Happening): void {
    this.questions.push({ ask, lost });
  }

  /** The server hears one of the questions; the answer sets out, or is lost on its way. */
  reach(at: number, lostBack: boolean): void {
    const [question] = this.questions.splice(at % Math.max(1, this.questions.length), 1);
    if (!question) return;
    if (this.cut) this.answers.push(question.lost);
    else {
      const answer = question.ask();
      this.answers.push(lostBack ? question.lost : answer);
    }
  }

  /** The window hears one of the answers, perhaps twice. */
  hear(at: number, twice: boolean): void {
    const [answer] = this.answers.splice(at % Math.max(1, this.answers.length), 1);
    if (!answer) return;
    const { status } = this.session;
    const opens = answer.what === 'opened' && (status === 'loading' || status === 'waiting');
    if (opens || (answer.what === 'opened from here' && status === 'waiting')) this.checked = answer.project;
    if (answer.what === 'opened') {
      this.browser.copy = { project: answer.project, revision: answer.revision };
      this.browser.news = [];
    }
    this.happen(answer);
    // Whoever follows a project is told once at the begin that there may be something.
    if (answer.what === 'opened from here' && this.session.status === 'ready' && status === 'waiting')
      this.stream.push({ what: 'heard', revision: null, entry: null });
    if (twice && !answer.what.startsWith('opened')) this.happen(answer);
  }

  news(at: number): void {
    const [told] = this.stream.splice(at % Math.max(1, this.stream.length), 1);
    if (told) this.happen(told);
  }

  again(): void {
    if (!this.waits) return;
    this.waits = false;
    this.happen({ what: 'again' });
  }
}
