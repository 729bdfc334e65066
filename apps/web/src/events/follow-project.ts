import { Stream } from './stream';

let shared: MessagePort | null = null;

function sharedPort(): MessagePort {
  const worker = () => new SharedWorker(new URL('./events.worker.ts', import.meta.url), { type: 'module' });
  shared ??= worker().port;
  return shared;
}

/**
 * Calls back whenever a project may have a new revision, and once at the begin: something may have been stored between
 * the opening of the project and now. Gives what ends it.
 */
export function followProject(project: string, tell: () => void): () => void {
  tell();
  if (typeof SharedWorker === 'undefined') {
    const stream = new Stream(tell);
    stream.follow([project]);
    return () => stream.follow([]);
  }
  const port = sharedPort();
  port.onmessage = tell;
  const begin = () => port.postMessage(project);
  const end = () => port.postMessage(null);
  // A page that the browser keeps for going back has gone, and comes again as it was.
  const again = () => {
    begin();
    tell();
  };
  begin();
  window.addEventListener('pagehide', end);
  window.addEventListener('pageshow', again);
  return () => {
    window.removeEventListener('pagehide', end);
    window.removeEventListener('pageshow', again);
    end();
  };
}
