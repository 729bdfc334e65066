import { isTyped } from '../model/as-typed.js';
import type { Claim } from '../model/claim.js';

/** What rules ask about all values of a claim, found in one pass over them. */
export interface ItemFacts {
  /** a type or a place stands as it was typed */
  typed: boolean;
  /** two have one name, whatever the case */
  namedTwice: boolean;
  /** code units of the longest name */
  longestName: number;
  /** a unit is said of one of them */
  unit: boolean;
  /** bits from the payload's start to the last that begins; −1: there are none */
  last: number;
}

const known = new WeakMap<Claim['items'], ItemFacts>();

/** Kept as long as the values are the same. */
export function itemFacts({ items }: Claim): ItemFacts {
  const cached = known.get(items);
  if (cached) return cached;
  const facts: ItemFacts = { typed: false, namedTwice: false, longestName: 0, unit: false, last: -1 };
  const names = new Set<string>();
  for (const key in items) {
    const { name, type, offset, unit } = items[key]!;
    if (isTyped(type) || isTyped(offset)) facts.typed = true;
    if (offset && !isTyped(offset)) facts.last = Math.max(facts.last, offset.bits);
    else facts.last = Math.max(facts.last, 0);
    if (unit) facts.unit = true;
    facts.longestName = Math.max(facts.longestName, name.length);
    const plain = name.trim().toLowerCase();
    if (plain !== '' && names.size === names.add(plain).size) facts.namedTwice = true;
  }
  known.set(items, facts);
  return facts;
}
