import type { TypeRef } from '../model/claim.js';

export const sameType = (a: TypeRef, b: TypeRef): boolean =>
  a.base === b.base && a.count === b.count && a.capacity === b.capacity && a.structure === b.structure;
