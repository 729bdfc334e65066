import { elementary } from '../data/types.js';
import { valueToBits } from '../data/values.js';
import { tagOf } from '../place/open-of.js';
import { putText } from './characters.js';
import { echoAsTyped, type Echoed, echoedAt, isEcho } from './echo.js';
import type { Link } from './link.js';
import { copying } from './movers.js';
import type { Plant } from './plant.js';
import { scanOf } from './scan.js';
import { stimulated, type Stimulus } from './stimulus.js';
import { typedStimulus } from './typed-stimulus.js';
import { unsettable } from './unsettable.js';
import { pairsOf, type OwnValue, type ValuePair } from './values.js';

/** A value that is driven in place of its program. */
export interface Driven {
  link: Link;
  key: string;
  value: OwnValue;
  stimulus: Stimulus;
}

interface Running extends Driven {
  /** what it does each scan */
  act: () => void;
  station: string;
  /** µs */
  every: number;
}

const nameOf = (link: Link, key: string): string => `${link.id} ${key}`;

/** What stands in for programs in a plant: temporary things, each until it is taken off. */
export class Stimuli {
  private readonly running = new Map<string, Running>();

  constructor(
    private readonly plant: Plant,
    /** has one act again after so many µs */
    private readonly again: (name: string, every: number) => void,
  ) {}

  /** Puts one at a value of a source; a sentence says why it cannot be there. */
  drive(link: Link, key: string, stimulus: Stimulus): string | null {
    const { source } = link.path;
    const pair = pairOf(link, key);
    const refused = pair ? unsettable(pair.source, stimulus) : 'A stimulus is for a value that somebody sends.';
    if (!pair || refused) return refused;
    if (this.plant.isOutside(source.station.id))
      return `${source.station.name} is played by another program; it is set there.`;
    const comes = stimulus.kind === 'echo' ? echoedAt(this.plant, source.station.id, stimulus) : null;
    if (typeof comes === 'string') return comes;
    const name = nameOf(link, key);
    const every = scanOf(this.plant.project, source.station.id);
    const fresh = !this.running.has(name);
    const running: Running = {
      link,
      key,
      value: pair.source,
      stimulus,
      act: this.acting(link, pair.source, stimulus, comes),
      station: source.station.id,
      every,
    };
    this.running.set(name, running);
    running.act();
    if (fresh) this.again(name, every);
    return null;
  }

  /** Sets what was typed and holds it there; a sentence says why it cannot be. */
  set(link: Link, key: string, typed: string): string | null {
    const { source } = link.path;
    const pair = pairOf(link, key);
    if (!pair) return 'A stimulus is for a value that somebody sends.';
    const tag = key === '' ? tagOf(this.plant.project, source.claim) : undefined;
    const stimulus = isEcho(typed)
      ? echoAsTyped(this.plant, source.station, typed)
      : typedStimulus(pair.source, tag, typed);
    return 'wrong' in stimulus ? stimulus.wrong : this.drive(link, key, stimulus);
  }

  /** Takes one off; what it last set stays. */
  letGo(link: Link, key: string): void {
    this.running.delete(nameOf(link, key));
  }

  /** Takes off all of a station. */
  leave(station: string): void {
    for (const [name, running] of this.running) if (running.station === station) this.running.delete(name);
  }

  get all(): readonly Driven[] {
    return [...this.running.values()].map(({ link, key, value, stimulus }) => ({ link, key, value, stimulus }));
  }

  /** Lets one act where its station runs; µs until it does so again, null: it was taken off. */
  act(name: string): number | null {
    const running = this.running.get(name);
    if (!running) return null;
    if (this.plant.runs(running.station)) running.act();
    return running.every;
  }

  private acting(link: Link, value: OwnValue, stimulus: Stimulus, comes: Echoed | null): () => void {
    const memory = this.plant.memory.of(link.path.source.block.memory.area.id);
    if (stimulus.kind === 'echo') {
      const length = Math.min(comes!.bits.length, value.bits.length);
      return copying(
        this.plant.memory.of(comes!.area),
        comes!.bits.slice(0, length),
        memory,
        value.bits.slice(0, length),
      );
    }
    if (stimulus.kind === 'text') return () => putText(memory, value, stimulus.text);
    const type = elementary(value.type.base)!;
    const since = this.plant.now;
    return () => {
      const number = stimulated(stimulus, this.plant.now - since, type.bits);
      const whole =
        type.family === 'real' ? Number(number) : typeof number === 'bigint' ? number : BigInt(Math.trunc(number));
      valueToBits(value.type.base, whole).forEach((bit, i) => (memory[value.bits[i]!] = bit));
    };
  }
}

function pairOf({ path }: Link, key: string): ValuePair | undefined {
  const found = pairsOf(path.source, path.sink);
  return typeof found === 'string' ? undefined : found.pairs.find((pair) => pair.key === key);
}
