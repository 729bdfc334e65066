import { Stream, type Told } from './stream';

let shared: MessagePort | null = null;

function sharedPort(): MessagePort {
  const worker = () => new SharedWorker(new URL('./events.worker.ts', import.meta.url), { type: 'module' });
  shared ??= worker().port;
  return shared;
}

/** A revision that was heard of, with what it stored where that came along; null: there may be one. */
export interface Heard {
  revision: number | null;
  entry: Told['entry'];
}

const SOMETHING: Heard = { revision: null, entry: null };

/**
 * Calls back whenever a project has a new revision, and once at the begin: something may have been stored between the
 * opening of the project and now. Gives what ends it.
 */
export function followProject(project: string, tell: (heard: Heard) => void): () => void {
  tell(SOMETHING);
  if (typeof SharedWorker === 'undefined') {
    const stream = new Stream(tell);
    stream.follow([project]);
    return () => stream.follow([]);
  }
  const port = sharedPort();
  port.onmessage = ({ data }: MessageEvent<Told>) => tell(data);
  const begin = () => port.postMessage(project);
  const end = () => port.postMessage(null);
  // A page that the browser keeps for going back has gone, and comes again as it was.
  const again = () => {
    begin();
    tell(SOMETHING);
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
