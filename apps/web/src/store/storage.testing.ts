/** A browser's storage: texts by name, with as much room as it is given. [published: HTML, Web storage] [from memory] */
export class MemoryStorage {
  /** characters that it holds at most */
  room = Infinity;

  get length(): number {
    return Object.keys(this).length - 1;
  }

  clear(): void {
    for (const key of Object.keys(this)) if (key !== 'room') this.removeItem(key);
  }

  getItem(key: string): string | null {
    return this.texts[key] ?? null;
  }

  removeItem(key: string): void {
    delete this.texts[key];
  }

  setItem(key: string, text: string): void {
    const others = Object.entries(this.texts).filter(([other]) => other !== key && other !== 'room');
    const used = others.reduce((sum, [name, value]) => sum + name.length + value.length, 0);
    if (used + key.length + text.length > this.room) throw new Error('QuotaExceededError');
    this.texts[key] = text;
  }

  /** As in a browser, the names are properties of their own. */
  private get texts(): Record<string, string> {
    return this as unknown as Record<string, string>;
  }
}
