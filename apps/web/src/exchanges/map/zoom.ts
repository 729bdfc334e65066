/** What the map shows: the lanes, the values of one, or the parts of one value. `key` is empty for a lane without items. */
export interface Zoom {
  lane: string;
  key?: string;
}

/** As it stands in the address bar: `lane` or `lane:key`. */
export function zoomFrom(text: string | null): Zoom | null {
  if (!text) return null;
  const colon = text.indexOf(':');
  return colon < 0 ? { lane: text } : { lane: text.slice(0, colon), key: text.slice(colon + 1) };
}

export const zoomText = ({ lane, key }: Zoom): string => (key === undefined ? lane : `${lane}:${key}`);
