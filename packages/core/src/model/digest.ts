const { imul } = Math;

/** A short text that is equal as long as all of a value is equal: two 32-bit hashes over its JSON text, as 16 hex digits. */
export function digestOf(value: unknown): string {
  const text = JSON.stringify(value) ?? '';
  let [high, low] = [0xdeadbeef, 0x41c6ce57];
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    high = imul(high ^ code, 2654435761);
    low = imul(low ^ code, 1597334677);
  }
  return [high, low].map((n) => (n >>> 0).toString(16).padStart(8, '0')).join('');
}
