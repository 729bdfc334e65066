/** An id that starts with a letter and is not digits only. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(9));
  return `x${[...bytes].map((b) => b.toString(36).padStart(2, '0')).join('')}`;
}
