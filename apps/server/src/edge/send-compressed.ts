import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createGunzip } from 'node:zlib';
import { ServiceUnavailableException } from '@nestjs/common';
import type { Request, Response } from 'express';
import { MOST_ANSWER_BYTES } from './limits.js';

/** Bytes of answers that are made whole and on their way. */
let onTheirWay = 0;

/** Sends bytes that are compressed already, as they are or inflated for whoever asks for that. 503 where too much waits. */
export async function sendCompressed(request: Request, response: Response, bytes: Uint8Array): Promise<void> {
  if (onTheirWay + bytes.byteLength > MOST_ANSWER_BYTES) {
    throw new ServiceUnavailableException({ message: 'Too many answers wait to be read; try again in a moment.' });
  }
  onTheirWay += bytes.byteLength;
  try {
    await streamCompressed(request, response, [bytes]);
  } finally {
    onTheirWay -= bytes.byteLength;
  }
}

/** Streams gzip, as it is or inflated. A connection that breaks in the middle is no error of ours. */
export async function streamCompressed(
  request: Request,
  response: Response,
  chunks: Iterable<Uint8Array> | AsyncIterable<Uint8Array>,
): Promise<void> {
  response.vary('Accept-Encoding');
  const source = Readable.from(chunks, { objectMode: false });
  const plain = request.acceptsEncodings('gzip') !== 'gzip';
  if (!plain) response.set('Content-Encoding', 'gzip');
  await (plain ? pipeline(source, createGunzip(), response) : pipeline(source, response)).catch(() => {
    response.destroy();
  });
}
