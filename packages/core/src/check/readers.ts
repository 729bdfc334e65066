/** From this many on, a set is faster than a list. */
const MANY = 12;

/**
 * Who has read what: the units of a check by the names of what they read. Most things are read by one or a few, and a set
 * for each of them would take most of the time and memory of a full check.
 */
export class Readers<Unit extends object> {
  private readonly known = new Map<string, Unit | Unit[] | Set<Unit>>();

  /** Adds a unit that is not among the readers of this yet. */
  add(read: string, unit: Unit): void {
    const readers = this.known.get(read);
    if (readers === undefined) this.known.set(read, unit);
    else if (readers instanceof Set) readers.add(unit);
    else if (!Array.isArray(readers)) this.known.set(read, [readers, unit]);
    else if (readers.length < MANY) readers.push(unit);
    else this.known.set(read, new Set([...readers, unit]));
  }

  remove(read: string, unit: Unit): void {
    const readers = this.known.get(read);
    if (readers instanceof Set) {
      readers.delete(unit);
      if (readers.size === 0) this.known.delete(read);
    } else if (Array.isArray(readers)) {
      const at = readers.indexOf(unit);
      if (at >= 0) readers.splice(at, 1);
      if (readers.length === 0) this.known.delete(read);
    } else if (readers === unit) this.known.delete(read);
  }

  of(read: string): Iterable<Unit> {
    const readers = this.known.get(read);
    if (readers === undefined) return [];
    return readers instanceof Set || Array.isArray(readers) ? readers : [readers];
  }
}
