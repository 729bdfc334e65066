import { readFileSync } from 'node:fs';

const LOOK_MS = 10;

/** Processor time that the thread which runs this has used, ms; null where the system does not say. */
function processorTime(): number | null {
  try {
    const [ran = ''] = readFileSync(`/proc/self/task/${process.pid}/schedstat`, 'utf8').split(' ');
    return Number(ran) / 1e6;
  } catch {
    return null;
  }
}

/**
 * Tells whoever started this process, when it asks with `busy`, how long this thread was busy at most since the last time,
 * ms: the time between two looks at the event loop, less what it waited for a processor that others had. `late` is with
 * that time.
 */
export function tellHowBusy(): void {
  if (!process.send) return;
  let [at, ran] = [performance.now(), processorTime()];
  let [busy, late] = [0, 0];
  const look = () => {
    const [now, used] = [performance.now(), processorTime()];
    const passed = Math.max(0, now - at - LOOK_MS);
    late = Math.max(late, passed);
    busy = Math.max(busy, ran === null || used === null ? passed : Math.min(passed, used - ran));
    [at, ran] = [now, used];
  };
  let looking: NodeJS.Timeout | undefined;
  process.on('message', (message) => {
    if (message !== 'busy') return;
    looking ??= setInterval(look, LOOK_MS).unref();
    look();
    process.send?.({ busy, late });
    [busy, late] = [0, 0];
  });
}
