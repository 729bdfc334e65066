import { answerPdu, type Tables } from '@dialoga/core/rehearse';
import { createServer, type Server, type Socket } from 'node:net';
import { freeFrom, LOOPBACK } from './loopback.js';
import { mbapFrame, MbapReader } from './mbap.js';
import { rtuFrame, RtuReader } from './rtu.js';

/** Connections that one stand-in holds at once; further ones are closed. */
const MOST_CONNECTIONS = 200;
/** Bytes of answers that wait for somebody who does not take them; then he is let go. */
const MOST_WAITING = 1 << 20;
/** Who answers: tables; one that cannot; a gateway, that nobody behind it does; null: nobody, and the request stays without answer. */
export type Who = Tables | 'faulted' | 'no answer from behind' | null;
export type Answering = (unit: number) => Who;

/** [published: MODBUS Application Protocol Specification V1.1b3, 7: 04 server device failure, 0B gateway target device failed to respond] [from memory] */
const CANNOT = { faulted: 0x04, 'no answer from behind': 0x0b } as const;

const answerOf = (who: Exclude<Who, null>, pdu: Uint8Array): Uint8Array =>
  typeof who === 'string' ? Uint8Array.of((pdu[0] ?? 0) | 0x80, CANNOT[who]) : answerPdu(who, pdu);

/** A stand-in that listens. */
export interface Listening {
  port: number;
  connections: () => number;
  close: () => Promise<void>;
}

/** Listens for Modbus TCP on loopback: on this port, or the next free one. */
export const listenTcp = (answering: Answering, port = 0): Promise<Listening> =>
  listen(port, () => {
    const reader = new MbapReader();
    return (more) => {
      const requests = reader.take(more);
      if (!requests) return null;
      return requests.flatMap((request) => {
        const who = answering(request.unit);
        return who ? [mbapFrame(request, answerOf(who, request.pdu))] : [];
      });
    };
  });

/** Listens for Modbus RTU frames over TCP. */
export const listenRtu = (answering: Answering, port = 0): Promise<Listening> =>
  listen(port, () => {
    const reader = new RtuReader();
    return (more) => {
      const requests = reader.take(more);
      if (!requests) return null;
      return requests.flatMap(({ unit, pdu }) => {
        const who = answering(unit);
        return who ? [rtuFrame(unit, answerOf(who, pdu))] : [];
      });
    };
  });

/** What comes in gives what goes out; null: the connection is closed. */
type Talk = () => (more: Buffer) => Buffer[] | null;

async function listen(port: number, talk: Talk): Promise<Listening> {
  const sockets = new Set<Socket>();
  const server = createServer((socket) => {
    if (sockets.size >= MOST_CONNECTIONS) return socket.destroy();
    sockets.add(socket);
    socket.setNoDelay(true);
    socket.on('error', () => socket.destroy());
    socket.on('close', () => sockets.delete(socket));
    const answer = talk();
    socket.on('data', (more) => {
      const out = answer(more);
      if (out === null || socket.writableLength > MOST_WAITING) return socket.destroy();
      for (const frame of out) socket.write(frame);
      return undefined;
    });
    return undefined;
  });
  const taken = await freeFrom(port, (at) => bound(server, at));
  return {
    port: taken,
    connections: () => sockets.size,
    close: () =>
      new Promise((resolve) => {
        for (const socket of sockets) socket.destroy();
        server.close(() => resolve());
      }),
  };
}

const bound = (server: Server, port: number): Promise<number> =>
  new Promise((resolve, reject) => {
    const failed = (error: Error) => {
      server.removeListener('listening', listens);
      reject(error);
    };
    const listens = () => {
      server.removeListener('error', failed);
      resolve((server.address() as { port: number }).port);
    };
    server.once('error', failed).once('listening', listens).listen(port, LOOPBACK);
  });
