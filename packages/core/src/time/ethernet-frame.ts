/** What a frame takes on the wire besides its payload: preamble and start 8, addresses and type 14, check 4, gap 12 bytes. */
const AROUND = 8 + 14 + 4 + 12;
/** A shorter payload is filled up. */
const LEAST_PAYLOAD = 46;
/** A longer one goes in several frames. */
const MOST_PAYLOAD = 1500;

/** Bytes that a payload takes on the wire, over as many frames as it needs. [published: IEEE 802.3, frame format] [from memory] */
export function bytesOnTheWire(payload: number): { frames: number; bytes: number } {
  const frames = Math.max(1, Math.ceil(payload / MOST_PAYLOAD));
  const last = payload - (frames - 1) * MOST_PAYLOAD;
  const bytes = (frames - 1) * (MOST_PAYLOAD + AROUND) + Math.max(LEAST_PAYLOAD, last) + AROUND;
  return { frames, bytes };
}
