import type { Port } from '../../model/port.js';

/** Where a call comes to: a port of the plant, or the hop that stopped it, in that hop’s own words. */
export type Reached = { ok: true; port: Port } | { ok: false; why: string };

export const stopped = (why: string): Reached => ({ ok: false, why });
export const reached = (port: Port): Reached => ({ ok: true, port });
