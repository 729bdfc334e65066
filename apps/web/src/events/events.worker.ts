import { Stream } from './stream';

/**
 * Shared by all windows of a browser, which keeps six connections to a server open at most: a stream for each window
 * would leave the seventh none. Each window says which project it shows, or null when it goes.
 */
declare const self: SharedWorkerGlobalScope;

const windows = new Map<MessagePort, string>();

const stream = new Stream((told) => {
  for (const [port, shown] of windows) if (shown === told.project) port.postMessage(told);
});

self.onconnect = ({ ports: [port] }) => {
  port!.onmessage = ({ data }: MessageEvent<string | null>) => {
    if (data === null) windows.delete(port!);
    else windows.set(port!, data);
    stream.follow(windows.values());
  };
};
