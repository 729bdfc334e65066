import { readable } from '../model/as-typed.js';
import type { Tag } from '../model/tag.js';

/** `50.0 %`: a raw value as the scaling of its tag says it; null: it has none. */
export function scaled(tag: Tag, raw: number | bigint): string | null {
  const scaling = readable(tag.scaling);
  if (!scaling || scaling.rawHigh === scaling.rawLow) return null;
  const { rawLow, rawHigh, low, high } = scaling;
  const value = low + ((Number(raw) - rawLow) / (rawHigh - rawLow)) * (high - low);
  // As many digits as the raw number can tell apart.
  const step = Math.abs((high - low) / (rawHigh - rawLow));
  const digits = Math.min(6, Math.max(0, Math.ceil(-Math.log10(step)) - 1));
  return `${value.toFixed(digits).replace('-', '−')} ${tag.unit ?? ''}`.trimEnd();
}

/** The raw value of one in the unit of its tag; null: it has no scaling. */
export function rawOf(tag: Tag, value: number): number | null {
  const scaling = readable(tag.scaling);
  if (!scaling || scaling.high === scaling.low) return null;
  const { rawLow, rawHigh, low, high } = scaling;
  return rawLow + ((value - low) / (high - low)) * (rawHigh - rawLow);
}
