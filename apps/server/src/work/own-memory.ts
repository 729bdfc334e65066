/** Bytes in memory of their own, which can go to another thread without a copy; small ones share theirs with others. */
export function ownMemory(bytes: Buffer): Uint8Array<ArrayBuffer> {
  const whole = bytes.byteOffset === 0 && bytes.byteLength === bytes.buffer.byteLength;
  return whole && bytes.buffer instanceof ArrayBuffer ? new Uint8Array(bytes.buffer) : new Uint8Array(bytes);
}
