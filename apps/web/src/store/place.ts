/** What the first part of an address names: a project, and where it is a past one, its revision: `p12@7`. */
export function placeOf(address: string): { id: string; revision: number | null } {
  const [id = '', revision] = address.split('@');
  return { id, revision: revision !== undefined && /^\d+$/.test(revision) ? Number(revision) : null };
}
