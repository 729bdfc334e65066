import { formatRange } from '../place/format-address.js';
import { memoryOf } from '../place/memory.js';
import { resolve, type Span } from '../place/resolve.js';
import { isTyped } from '../model/as-typed.js';
import type { Landing } from '../model/landing.js';
import type { Module } from '../model/module.js';
import type { Reader } from '../model/project.js';

/** Where a module's inputs or outputs lie in the area of a controller that claims it. */
export interface Landed {
  landing: Landing;
  module: Module;
  field: 'inputsAt' | 'outputsAt';
  area: string;
  /** bits of the area */
  spans: readonly Span[];
  /** in the controller's own notation */
  range: string;
}

/** The one or two ranges of a landing; sizes as entered there, or else the module's own. */
export function landedOf(reader: Reader, landing: Landing): Landed[] {
  const module = reader.get('module', landing.module);
  if (!module) return [];
  return (['inputs', 'outputs'] as const).flatMap((what) => {
    const field = `${what}At` as const;
    const place = landing[field];
    const bytes = landing[what] ?? module[what];
    const memory = place && !isTyped(place) ? memoryOf(reader, place.area) : null;
    if (!place || isTyped(place) || !memory || bytes === 0) return [];
    const spans = resolve(memory, place, bytes * 8);
    if (!spans) return [];
    return [{ landing, module, field, area: place.area, spans, range: formatRange(memory, place, bytes * 8) }];
  });
}

export const spansMeet = (a: readonly Span[], b: readonly Span[]): boolean =>
  a.some((x) => b.some((y) => x.start < y.end && y.start < x.end));
