import type { Tag } from '../../model/tag.js';

/**
 * A station's tags, found by name and group, each once. A newer file mostly keeps the order of the older one, so the tag after the
 * one just found is looked at first; the rest are put in order by name when the first is found elsewhere.
 */
export class KnownTags {
  private next = 0;
  private byName: Map<string, number> | null = null;
  private readonly found: Uint8Array;

  constructor(
    private readonly tags: readonly Tag[],
    private readonly keyOf: (name: string, group: string) => string,
  ) {
    this.found = new Uint8Array(tags.length);
  }

  /** The tag of this name; 'again' where it was found before. */
  find(name: string, group: string): Tag | 'again' | undefined {
    const next = this.tags[this.next];
    const at = next?.name === name && (next.group ?? '') === group ? this.next : this.named(name, group);
    const tag = at === undefined ? undefined : this.tags[at];
    if (at === undefined || !tag) return undefined;
    if (this.found[at]) return 'again';
    this.found[at] = 1;
    this.next = at + 1;
    return tag;
  }

  /** Those that nobody asked for. */
  get left(): Tag[] {
    return this.tags.filter((_, i) => !this.found[i]);
  }

  private named(name: string, group: string): number | undefined {
    if (this.tags.length === 0) return undefined;
    this.byName ??= new Map(this.tags.map((tag, i) => [this.keyOf(tag.name, tag.group ?? ''), i]));
    return this.byName.get(this.keyOf(name, group));
  }
}
